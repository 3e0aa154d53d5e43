<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

/** @internal */
final readonly class Divisions
{
    /**
     * The coarsest division of the beat that has this place, so that swing moves it as it moves a pattern's own strokes.
     *
     * @param int $within ticks from the beat
     * @param int $beat   ticks
     */
    public static function of(int $within, int $beat): int
    {
        foreach ([1, 2, 3, 4] as $division) {
            if ($within * $division % $beat === 0) {
                return $division;
            }
        }

        return 6;
    }
}
