<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\Hit;
use Gravik\Chart\Course;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Articulation;

/**
 * What the guitar strikes, told to a band that strikes with it: neither dead strokes nor ghosts, and strokes of two lines at
 * one place once.
 *
 * @internal used by Performer
 */
final readonly class Hits
{
    /**
     * @param list<PlayedStroke> $strokes in order of time
     *
     * @return array<int, list<Hit>> by bar of the song; bars without any are left out
     */
    public static function of(array $strokes, Course $course): array
    {
        $ticks = array_values(array_unique(array_map(static fn (PlayedStroke $stroke): int => $stroke->tick, $strokes)));
        sort($ticks);
        $place = array_flip($ticks);
        $hits = [];
        foreach ($strokes as $played) {
            $stroke = $played->stroke;
            if (! $stroke->isDead() && $stroke->articulation !== Articulation::Ghost) {
                $until = min($ticks[$place[$played->tick] + 1] ?? PHP_INT_MAX, $course->bars[$played->bar]->until());
                $hits[$played->bar][$played->tick] ??= new Hit(
                    $played->tick,
                    $until,
                    $stroke->division,
                    $played->chord,
                    $stroke->accent > 1,
                );
            }
        }

        return array_map(array_values(...), $hits);
    }
}
