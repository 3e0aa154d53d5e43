<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;

/**
 * Frets the figures of a song anew for another neck, so that they sound as they did; what that neck has not is left out, what
 * was fixed is free.
 */
final readonly class FigureFitter
{
    /** @param ?non-empty-list<VoicingLine> $lines of grips that the neck has; those there are where null */
    public function onto(Breakdown $breakdown, Neck $neck, ?array $lines = null): Breakdown
    {
        $fitted = [];
        foreach ($breakdown->figures as $figure) {
            $fitted[$figure->id] = self::fitted($figure, $breakdown->neck->openMidi(), $neck);
        }

        return $breakdown->with(
            neck: $neck,
            lines: $lines,
            figures: array_values($fitted),
            played: array_map(
                static fn (PlacedFigure $each): PlacedFigure => $each->unfixed()->of($fitted[$each->figure->id]),
                $breakdown->played,
            ),
        );
    }

    /** @param list<int> $open MIDI numbers of the strings it was fretted for */
    private static function fitted(Figure $figure, array $open, Neck $neck): Figure
    {
        $sounding = static fn (FigureNote $note): RiffNote => new RiffNote(
            $note->string,
            $note->fret,
            ($open[count($open) - $note->string] ?? 0) + $note->fret,
        );
        $notes = [];
        foreach ($figure->notes as $byStroke) {
            $frets = array_filter(
                array_map(static fn (FigureNote $note): int => $note->fret, array_merge([], ...$byStroke)),
                static fn (int $fret): bool => $fret > 0,
            );
            $laid = (new FigureMover($neck))->transposed(
                array_map(static fn (array $own): array => array_map($sounding, $own), array_values($byStroke)),
                0,
                0,
                $frets === [] ? 1 : min($frets),
            );
            $notes[] = array_filter(array_combine(array_keys($byStroke), array_map(
                static fn (array $typed, array $there): array => self::notes($typed, $there),
                array_values($byStroke),
                $laid,
            )), static fn (array $own): bool => $own !== []);
        }

        return $figure->fretted($notes);
    }

    /**
     * @param list<FigureNote> $typed
     * @param list<?RiffNote>  $laid
     *
     * @return list<FigureNote>
     */
    private static function notes(array $typed, array $laid): array
    {
        return array_values(array_filter(array_map(
            static fn (FigureNote $note, ?RiffNote $there): ?FigureNote => $there === null
                ? null
                : new FigureNote($there->string, $there->fret, $note->ornament),
            $typed,
            $laid,
        )));
    }
}
