<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\PlacedFigure;

/** Keeps a figure with the song: a new one, or another wording of one there is, wherever that is played. */
final readonly class FigureKeeper
{
    /** @throws BreakdownNotValid where it does not fit where it is played */
    public function keep(Breakdown $breakdown, Figure $figure): Breakdown
    {
        $known = in_array($figure->id, array_map(static fn (Figure $each): string => $each->id, $breakdown->figures), true);

        return $breakdown->with(
            figures: $known
                ? array_map(static fn (Figure $each): Figure => $each->id === $figure->id ? $figure : $each, $breakdown->figures)
                : [...$breakdown->figures, $figure],
            played: array_map(
                static fn (PlacedFigure $each): PlacedFigure => $each->figure->id === $figure->id ? $each->of($figure) : $each,
                $breakdown->played,
            ),
        );
    }

    /** The song without a figure, wherever it was played. */
    public function forget(Breakdown $breakdown, string $figure): Breakdown
    {
        return $breakdown->with(
            figures: array_values(array_filter($breakdown->figures, static fn (Figure $each): bool => $each->id !== $figure)),
            played: array_values(array_filter($breakdown->played, static fn (PlacedFigure $each): bool => $each->figure->id !== $figure)),
        );
    }
}
