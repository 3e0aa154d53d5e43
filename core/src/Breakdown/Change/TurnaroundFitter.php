<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Chart\ChartException;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Ending;
use Gravik\Chart\Section;
use Gravik\Chart\Turnaround;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\CommonTone;
use Gravik\Words;

/** Writes a turnaround into the last bars of a section, in its key, so that it comes out on time. */
final readonly class TurnaroundFitter
{
    /**
     * @param bool $home     whether it ends on I; else on V
     * @param bool $coloured whether its chords take the colours with which one note stays on top of them
     *
     * @throws BreakdownNotValid where there is no such section
     * @throws ChartException    where there is no such turnaround, or the section is shorter
     */
    public function fit(Breakdown $breakdown, string $id, string $slug, bool $home, bool $coloured): Breakdown
    {
        $section = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id === $id))[0]
            ?? throw new SectionUnknown($id);
        $setting = $section->setting($breakdown->start);
        $line = Turnaround::named($slug, $setting->key)->line($home);
        $line = $coloured ? self::coloured($line) : $line;
        $reader = $setting->reader();
        $fitted = $section->endings === []
            ? $section->with(line: self::atTheEnd($reader, $section->line, $line))
            : self::inEnding($reader, $section, $home ? count($section->endings) - 1 : 0, $line);

        return $breakdown->with(sections: array_map(
            static fn (Section $each): Section => $each->id === $id ? $fitted : $each,
            $breakdown->sections,
        ));
    }

    private static function atTheEnd(ChartLine $reader, string $line, string $turnaround): string
    {
        $bars = count($reader->read($turnaround)->bars);
        $all = count($reader->read($line)->bars);

        return $all === $bars ? $turnaround : $reader->splitAt($line, $all - $bars)[0].' '.ltrim($turnaround, '| ');
    }

    /** An ending that is shorter takes the last bars of it. */
    private static function inEnding(ChartLine $reader, Section $section, int $number, string $turnaround): Section
    {
        $ending = $section->endings[$number];
        $bars = count($reader->read($turnaround)->bars);
        $room = count($reader->read($ending->line)->bars);
        $line = match (true) {
            $bars > $room && $room > 0 => $reader->splitAt($turnaround, $bars - $room)[1],
            $bars === $room || $room === 0 => $turnaround,
            default => self::atTheEnd($reader, $ending->line, $turnaround),
        };
        $fitted = new Ending($ending->times, $line, $ending->passes);

        return $section->with(endings: array_values(array_replace($section->endings, [$number => $fitted])));
    }

    /** The line with the colours of the note that stays through its falling chords most easily. */
    public static function coloured(string $line): string
    {
        $words = Words::of($line);
        $chords = array_values(array_filter($words, static fn (string $word): bool => $word !== '|'));
        $run = array_slice($chords, 0, self::falling($chords));
        $stays = $run === [] ? null : CommonTone::of(array_map(ChordSymbol::parse(...), $run))[0] ?? null;
        $place = 0;

        return implode(' ', array_map(static function (string $word) use ($stays, &$place): string {
            return $word === '|' ? $word : ($stays?->chords[$place++] ?? null)?->text() ?? $word;
        }, $words));
    }

    /**
     * @param list<string> $chords
     *
     * @return int how many of them, from the first on, fall by semitones; 0 where not even two do
     */
    private static function falling(array $chords): int
    {
        $roots = array_map(static fn (string $chord): int => ChordSymbol::parse($chord)->rootPitchClass(), $chords);
        $count = 1;
        while (isset($roots[$count]) && ($roots[$count - 1] - $roots[$count] + 12) % 12 === 1) {
            $count++;
        }

        return $count > 1 ? $count : 0;
    }
}
