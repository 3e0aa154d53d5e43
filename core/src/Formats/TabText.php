<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\CourseBar;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;

/**
 * A performed guitar part as plain text: a staff of strings, the counts under it, the strokes under these. docs/tab.md
 * says how it is read back.
 */
final readonly class TabText
{
    public const HEAD = 'gravik tab 1';

    private const A_ROW = 2;

    /** @return list<string> what of this song it does not hold, in words */
    public static function notKept(Breakdown $breakdown): array
    {
        return array_values(array_filter([
            'how far it swings, but for a word in its head',
            'lengths in ticks and by string: a dry stroke has a dot',
            'which frets a dead stroke lies over: it is an x',
            count($breakdown->passes) > 1 ? 'passes as such: the song stands as it is played' : null,
            'what two lines strike at one time, as two: it stands as one stroke',
            'fingers, the band, the lesson, and marks',
        ]));
    }

    public function write(Breakdown $breakdown, Timeline $timeline): string
    {
        $start = $breakdown->start;
        $lines = [
            self::HEAD,
            "title: {$breakdown->title}",
            "key: {$start->key->text()}",
            sprintf('tempo: %g', $start->tempo->bpm),
            "meter: {$start->meter->text()}",
            sprintf('swing: %g %s', round($start->feel->ratioAt($start->tempo), 3), $start->feel->unit->value),
            "tuning: {$breakdown->neck->tuning->slug}",
            "capo: {$breakdown->neck->capo}",
            '',
        ];
        $byBar = [];
        foreach ($timeline->strokes as $stroke) {
            $byBar[$stroke->bar][] = $stroke;
        }
        $bars = $timeline->course->bars;
        foreach (array_chunk($bars, self::A_ROW, true) as $row) {
            foreach ($row as $number => $bar) {
                $visit = $timeline->course->visits[$bar->visit];
                if ($bar->inVisit === 0) {
                    array_push($lines, "[{$visit->section->name}] pass {$visit->pass}, bar ".($number + 1), '');
                }
            }
            $lines = [...$lines, ...$this->row($breakdown, $timeline, $row, $byBar), ''];
        }

        return implode("\n", $lines);
    }

    /**
     * @param array<int, CourseBar>          $bars
     * @param array<int, list<PlayedStroke>> $byBar
     *
     * @return list<string>
     */
    private function row(Breakdown $breakdown, Timeline $timeline, array $bars, array $byBar): array
    {
        $strings = $breakdown->neck->tuning->strings();
        $names = array_map(static fn ($pitch): string => $pitch->name->text(), $breakdown->neck->tuning->pitches);
        $wide = max([1, ...array_map(mb_strlen(...), $names)]);
        $rows = array_fill(0, $strings, '');
        $chords = $counts = $hands = str_repeat(' ', $wide + 1);
        foreach (array_keys($rows) as $line) {
            $rows[$line] = self::padded($names[$strings - 1 - $line], $wide).'|';
        }
        foreach ($bars as $number => $bar) {
            foreach ($this->slots($timeline, $bar, $byBar[$number] ?? []) as [$tick, $syllable, $struck]) {
                $cells = self::cells($struck, $strings);
                $chord = $this->chordAt($timeline, $bar->tick + $tick);
                $hand = $struck === [] ? '' : self::hand($struck[0]);
                $width = 1 + max(2, mb_strlen($chord), mb_strlen($syllable), mb_strlen($hand), ...array_map(mb_strlen(...), $cells));
                foreach ($cells as $line => $cell) {
                    $rows[$line] .= $cell.str_repeat('-', $width - mb_strlen($cell));
                }
                $chords .= self::padded($chord, $width);
                $counts .= self::padded($syllable, $width);
                $hands .= self::padded($hand, $width);
            }
            $rows = array_map(static fn (string $row): string => $row.'|', $rows);
            [$chords, $counts, $hands] = ["{$chords} ", "{$counts} ", "{$hands} "];
        }

        return [rtrim($chords), ...$rows, rtrim($counts), rtrim($hands)];
    }

    /**
     * Every beat, and between beats what is struck.
     *
     * @param list<PlayedStroke> $strokes
     *
     * @return list<array{int, string, list<PlayedStroke>}> tick of the bar, how it is counted, what is struck there, line by line
     */
    private function slots(Timeline $timeline, CourseBar $bar, array $strokes): array
    {
        $beat = $bar->meter->beatTicks();
        $byTick = [];
        for ($tick = 0; $tick < $bar->meter->barTicks(); $tick += $beat) {
            $byTick[$tick] = [];
        }
        foreach ($strokes as $stroke) {
            $byTick[$stroke->tick - $bar->tick][] = $stroke;
        }
        foreach ($timeline->course->chords as $chord) {
            if ($chord->tick > $bar->tick && $chord->tick < $bar->until()) {
                $byTick[$chord->tick - $bar->tick] ??= [];
            }
        }
        ksort($byTick);

        return array_map(
            static fn (int $tick, array $struck): array => [$tick, self::count($bar, $tick), $struck],
            array_keys($byTick),
            $byTick,
        );
    }

    private static function count(CourseBar $bar, int $tick): string
    {
        $beat = $bar->meter->beatTicks();
        foreach ([1, 2, 3, 4, 6] as $division) {
            if ($tick * $division % $beat === 0) {
                $slot = intdiv($tick * $division, $beat);

                return Counting::syllables($bar->meter, $division)[$slot] ?? '';
            }
        }

        return '';
    }

    /**
     * @param list<PlayedStroke> $struck at one time
     *
     * @return list<string> one for each string, the highest first
     */
    private static function cells(array $struck, int $strings): array
    {
        $cells = array_fill(0, $strings, '-');
        foreach ($struck as $stroke) {
            foreach ($stroke->strings as $place => $string) {
                $fret = $stroke->voicing->frets[$string];
                $cells[$strings - 1 - $string] = match (true) {
                    $fret === null => '-',
                    $stroke->stroke->isDead() => 'x',
                    $stroke->stroke->articulation === Articulation::Ghost => "({$fret})",
                    default => self::cell($fret, $stroke->ornaments[$place] ?? $stroke->stroke->ornament),
                };
            }
        }

        return array_values($cells);
    }

    /** A fret, and how it is come to or left: 5h7 comes from 5, 7>4 goes to 4, 7b9 is bent to the pitch of 9. */
    private static function cell(int $fret, ?Ornament $ornament): string
    {
        $other = max(0, $fret + ($ornament->frets ?? 0));

        return match ($ornament?->fitsOn($fret) === true ? $ornament->kind : null) {
            null, OrnamentKind::Drag => (string) $fret,
            OrnamentKind::HammerOn => "{$other}h{$fret}",
            OrnamentKind::PullOff => "{$other}p{$fret}",
            OrnamentKind::SlideIn => "{$other}s{$fret}",
            OrnamentKind::Grace => "{$other}g{$fret}",
            OrnamentKind::SlideOut => "{$fret}>{$other}",
            OrnamentKind::Bend => "{$fret}b{$other}",
            OrnamentKind::BendRelease => "{$fret}b{$other}r",
            OrnamentKind::Bent => "{$fret}B{$other}",
            OrnamentKind::Release => "{$fret}r{$other}",
            OrnamentKind::Vibrato => "{$fret}~",
        };
    }

    /** Down or up, weight, muting: d, u, D for a heavy one, m for the palm, a dot where it is dry, ^ for a push. */
    private static function hand(PlayedStroke $played): string
    {
        $stroke = $played->stroke;
        $sign = $stroke->direction === Direction::Up ? 'u' : 'd';

        return ($stroke->accent > 1 ? strtoupper($sign) : $sign)
            .($stroke->articulation === Articulation::PalmMute ? 'm' : '')
            .($stroke->isLetGo() ? '.' : '')
            .($stroke->chord === ChordOf::Next ? '^' : '');
    }

    private function chordAt(Timeline $timeline, int $tick): string
    {
        foreach ($timeline->course->chords as $chord) {
            if ($chord->tick === $tick) {
                return $chord->chord->text();
            }
        }

        return '';
    }

    private static function padded(string $text, int $width): string
    {
        return $text.str_repeat(' ', max(0, $width - mb_strlen($text)));
    }
}
