<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Failure\MelodyPastTheEnd;
use Gravik\Breakdown\Failure\MelodyTooDense;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\MelodyOverForm;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\FormBar;
use Gravik\Chart\Place;
use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Neck\NeckException;
use Gravik\Strokes\Counting;
use Gravik\Time\Meter;

/**
 * Keeps a melody in double stops with the song: figures of up to four bars in two lines, the melody and the notes below it,
 * so that a lower note that is held rings on under the next. Each note is fixed where the hand was found to play it.
 */
final readonly class MelodyKeeper
{
    private const MOST_BARS = 4;

    /** Ways to divide a beat, the coarsest first. */
    private const DIVISIONS = [1, 2, 4, 6];

    private const DOTTED_DIVISIONS = [1, 3, 6];

    /**
     * @param int $bar of the form that the melody begins in, from 0
     *
     * @throws BreakdownNotValid where it goes past the end, or has more notes in a bar than can be counted
     * @throws NeckException     where the melody cannot be read, or does not lie on the neck
     */
    public function keep(Desk $desk, string $melody, int $bar): Breakdown
    {
        $song = $desk->breakdown;
        $written = array_slice($song->written()->bars, $bar);
        $melodyBars = (new MelodyOverForm())->bars($song, $melody, $bar);
        if (count($melodyBars) > count($written)) {
            throw new MelodyPastTheEnd(count($melodyBars), count($written));
        }
        $kept = $song;
        foreach (self::runs(array_slice($written, 0, count($melodyBars))) as $from => $run) {
            $kept = self::part($desk, $kept, $run, array_slice($melodyBars, $from, count($run)), $from);
        }

        return $kept;
    }

    /**
     * @param list<FormBar> $bars
     *
     * @return array<int, non-empty-list<FormBar>> bars that follow one another in one section, by the place of the first
     */
    private static function runs(array $bars): array
    {
        $runs = [];
        $from = 0;
        foreach ($bars as $place => $bar) {
            $first = $bars[$from];
            if ($place - $from >= self::MOST_BARS || [$bar->section, $bar->ending] !== [$first->section, $first->ending]) {
                $from = $place;
            }
            $runs[$from][] = $bar;
        }

        return $runs;
    }

    /**
     * @param non-empty-list<FormBar>                        $bars
     * @param list<list<HarmonisedNote>> $notes in each of them
     * @param int                                  $from  bar of the melody that is the first of these
     */
    private static function part(Desk $desk, Breakdown $song, array $bars, array $notes, int $from): Breakdown
    {
        $meter = $bars[0]->meter;
        $key = Desk::of($song, $desk->pass, $bars[0]->section)->setting->key;
        $upper = $lower = [];
        foreach ($notes as $place => $inBar) {
            [$upper[], $lower[]] = self::counted($inBar, $meter, $from + $place, $place === 0);
        }
        $numbers = array_unique([$bars[0]->number, end($bars)->number]);
        $figure = TypedFigure::read(
            FreeId::after('f', $song->figures),
            (count($numbers) === 1 ? 'melody, bar ' : 'melody, bars ').implode('–', $numbers),
            [implode(' | ', $upper), implode(' | ', $lower)],
            $meter,
            $notes[0][0]->chord ?? $key->tonicTriad(),
            $key,
            RelativeTo::Key,
        );
        $fixed = [];
        foreach ($figure->notes as $stream => $byStroke) {
            foreach ($byStroke as $stroke => $own) {
                $tick = $figure->pattern->streams[$stream]->strokes[$stroke]->at;
                $fixed = [...$fixed, ...array_map(
                    static fn (FigureNote $note): FixedNote => new FixedNote($stream, $tick, $note->string, $note->string, $note->fret),
                    $own,
                )];
            }
        }
        $at = new Place($bars[0]->section, $bars[0]->ending, $bars[0]->inSection, 0);

        return (new FigurePlacer())->place(
            (new FigureKeeper())->keep($song, $figure),
            new PlacedFigure($figure, $at, [$desk->pass], fixed: $fixed),
        );
    }

    /**
     * The notes spread over their bar: on beats where these are enough, else on the coarsest parts of them that are.
     *
     * @param list<HarmonisedNote> $notes
     * @param bool                 $begins whether a figure begins with it: what is held from before is struck anew
     *
     * @return array{string, string} the melody and the notes below it, as they are counted
     */
    private static function counted(array $notes, Meter $meter, int $bar, bool $begins): array
    {
        $divisions = $meter->isCompound() ? self::DOTTED_DIVISIONS : self::DIVISIONS;
        $roomy = array_filter($divisions, static fn (int $division): bool => $meter->beats() * $division >= count($notes));
        $division = array_values($roomy)[0] ?? throw new MelodyTooDense($bar, count($notes), $meter->beats() * max($divisions));
        $upper = $lower = array_map(static fn (string $said): string => "({$said})", Counting::syllables($meter, $division));
        foreach ($notes as $order => $note) {
            $slot = intdiv($order * count($upper), count($notes));
            $said = trim($upper[$slot], '()');
            $upper[$slot] = "{$said}={$note->strings[1]}:{$note->frets[1]}";
            $lower[$slot] = $note->held && ! ($begins && $order === 0) ? $lower[$slot] : "{$said}={$note->strings[0]}:{$note->frets[0]}";
        }

        return [implode(' ', $upper), implode(' ', $lower)];
    }
}
