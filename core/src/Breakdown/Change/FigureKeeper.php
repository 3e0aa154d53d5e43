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
        return $breakdown->withFigure($figure);
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
