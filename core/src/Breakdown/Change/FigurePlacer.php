<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Place;

/** Lets a figure be played at a place, in the place of one that was played there in the same passes. */
final readonly class FigurePlacer
{
    /** @throws BreakdownNotValid where there is no such section or pass, or it is in another meter */
    public function place(Breakdown $breakdown, PlacedFigure $placed): Breakdown
    {
        $left = $this->clear($breakdown, $placed->at, $placed->passes);

        return $left->with(played: [...$left->played, $placed]);
    }

    /** @param ?list<string> $passes ids of those in which nothing is to be played there any more; null for all */
    public function clear(Breakdown $breakdown, Place $at, ?array $passes): Breakdown
    {
        $all = array_map(static fn (Pass $pass): string => $pass->id, $breakdown->passes);
        $left = [];
        foreach ($breakdown->played as $each) {
            $in = array_values(array_diff($each->passes ?? $all, $passes ?? $all));
            if (! $each->at->equals($at) || $in === ($each->passes ?? $all)) {
                $left[] = $each;
            } elseif ($in !== []) {
                $left[] = $each->in($in);
            }
        }

        return $breakdown->with(played: $left);
    }
}
