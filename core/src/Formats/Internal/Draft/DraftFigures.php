<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/**
 * Bars whose strokes leave the grips that are held, as figures.
 *
 * @internal used by DraftBuilder
 */
final readonly class DraftFigures
{
    public static function leaves(DraftBar $bar): bool
    {
        return array_filter($bar->strokes, static fn (DraftStroke $stroke): bool => $stroke->off || $stroke->movesApart()) !== [];
    }

    /**
     * Bars that leave their grips, each a figure of one bar; those alike are one.
     *
     * @param list<DraftBar>                $bars
     * @param list<DraftPlaced>             $placed
     *
     * @return list<array{figure: Figure, placed: PlacedFigure}>
     */
    public static function of(array $bars, array $placed, Key $key, int $strings): array
    {
        $figures = [];
        foreach ($placed as $stretch) {
            $from = $stretch->from;
            for ($bar = 0; $bar < $stretch->count && count($figures) < Breakdown::MOST['figures']; $bar++) {
                $told = $bars[$from + $bar];
                $symbol = self::sounding($bars, $from + $bar);
                if ($symbol !== '' && self::leaves($told)) {
                    $figure = self::figure('f'.(count($figures) + 1), 'bar '.($from + $bar + 1), $told, $symbol, $key, $strings);
                    $figures[] = ['figure' => $figure, 'placed' => new PlacedFigure(
                        $figure,
                        $stretch->at($bar, 0),
                        fixed: self::fixed($figure),
                    )];
                }
            }
        }

        return $figures;
    }

    /** @return list<FixedNote> every note where it was read, whatever the rule would say */
    private static function fixed(Figure $figure): array
    {
        $fixed = [];
        foreach ($figure->notes[0] ?? [] as $place => $notes) {
            foreach ($notes as $note) {
                $tick = $figure->pattern->streams[0]->strokes[$place]->at;
                $fixed[] = new FixedNote(0, $tick, $note->string, $note->string, $note->fret);
            }
        }

        return $fixed;
    }

    private static function figure(string $id, string $name, DraftBar $bar, string $symbol, Key $key, int $strings): Figure
    {
        $strokes = $notes = [];
        foreach ($bar->strokes as $told) {
            $stroke = DraftRhythms::stroke($told, 0, $bar->meter);
            if (array_filter($strokes, static fn (Stroke $each): bool => $each->at >= $stroke->at) === []) {
                $strokes[] = $stroke;
                $fretted = array_filter($told->frets, static fn (int $fret, int $string): bool => $string <= $strings
                    && $fret >= 0 && $fret <= FigureNote::HIGHEST_FRET, ARRAY_FILTER_USE_BOTH);
                $notes[] = array_map(
                    static fn (int $string, int $fret): FigureNote => new FigureNote($string, $fret, $told->moves[$string] ?? null),
                    array_keys($fretted),
                    $fretted,
                );
            }
        }

        return new Figure(
            $id,
            $name,
            new Pattern($bar->meter, $bar->meter->barTicks(), [new Stream('line', $strokes)]),
            [array_filter($notes, static fn (array $each): bool => $each !== [])],
            ChordSymbol::parse($symbol),
            $key,
        );
    }

    /**
     * The chord that sounds where a bar begins, or first in it.
     *
     * @param list<DraftBar> $bars
     */
    private static function sounding(array $bars, int $bar): string
    {
        if (($bars[$bar]->chords[0][0] ?? 1) === 0) {
            return $bars[$bar]->chords[0][1];
        }
        for ($before = $bar - 1; $before >= 0; $before--) {
            $chords = $bars[$before]->chords;
            if ($chords !== []) {
                return $chords[count($chords) - 1][1];
            }
        }

        return $bars[$bar]->chords[0][1] ?? '';
    }
}
