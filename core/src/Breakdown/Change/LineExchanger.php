<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\BeatDividedTwice;
use Gravik\Breakdown\Failure\FigureHasOneLine;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\TypedFigure;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\StrokesException;

/** Hands what the two lines of a figure strike in a stretch of it over to the other line, with its notes. */
final readonly class LineExchanger
{
    /**
     * @param int $from  tick of the figure
     * @param int $until tick after the stretch
     *
     * @throws BreakdownNotValid where it has one line, or a line would divide a beat in two ways
     */
    public function exchange(Figure $figure, int $from, int $until): Figure
    {
        $streams = $figure->pattern->streams;
        if (count($streams) < 2) {
            throw new FigureHasOneLine();
        }
        $made = $notes = [];
        foreach ([0, 1] as $line) {
            $strokes = [];
            foreach ([$line, 1 - $line] as $of) {
                foreach ($streams[$of]->strokes as $place => $stroke) {
                    $inside = $stroke->at >= $from && $stroke->at < $until;
                    if ($inside === ($of !== $line)) {
                        $strokes[$stroke->at] = [$stroke, $figure->notesOf($of, $place)];
                    }
                }
            }
            ksort($strokes);
            $strokes = array_values($strokes);
            $made[] = new Stream($streams[$line]->name, array_map(static fn (array $each): Stroke => $each[0], $strokes));
            $notes[] = array_filter(
                array_map(static fn (array $each): array => $each[1], $strokes),
                static fn (array $own): bool => $own !== [],
            );
        }
        $exchanged = new Figure(
            $figure->id,
            $figure->name,
            $figure->pattern->withStreams($made),
            $notes,
            $figure->chord,
            $figure->key,
            $figure->relativeTo,
            $figure->nickname,
        );

        return self::canBeCounted($exchanged)
            ? $exchanged
            : throw new BeatDividedTwice();
    }

    private static function canBeCounted(Figure $figure): bool
    {
        $at = static fn (Figure $of): array => array_map(
            static fn (Stream $stream): array => array_map(static fn (Stroke $stroke): int => $stroke->at, $stream->strokes),
            $of->pattern->streams,
        );
        try {
            $read = TypedFigure::read(
                $figure->id,
                $figure->name,
                TypedFigure::write($figure),
                $figure->pattern->meter,
                $figure->chord,
                $figure->key,
                $figure->relativeTo,
            );
        } catch (StrokesException) {
            return false;
        }

        return $at($read) === $at($figure);
    }
}
