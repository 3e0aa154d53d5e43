<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Statistics;

/**
 * How the tempo of a recording changes about its own mean. A tempo that changes evenly by D BPM a minute bends the strokes'
 * distances from an even beat into a parabola of curvature −D/(120·tempo) seconds a second squared; the least-squares
 * parabola gives it back.
 *
 * @internal used by FeelMeter
 */
final readonly class TempoBend
{
    private const FEWEST = 6;

    /**
     * @param list<Hit> $hits
     *
     * @return float BPM a minute, + faster and faster; 0 where there are too few to tell
     */
    public static function of(array $hits, float $bpm): float
    {
        $times = array_map(static fn (Hit $hit): float => $hit->t, $hits);
        if (count($times) < self::FEWEST || max($times) <= min($times)) {
            return 0.0;
        }
        $bySlot = [];
        foreach ($hits as $hit) {
            $bySlot[$hit->slot][] = $hit->ms;
        }
        $medians = array_map(Statistics::median(...), $bySlot);
        $middle = (max($times) + min($times)) / 2;
        $half = (max($times) - min($times)) / 2;
        $x = array_map(static fn (float $t): float => ($t - $middle) / $half, $times);
        $square = array_map(static fn (float $value): float => $value ** 2, $x);
        [$level, $slope] = Statistics::line($x, $square);
        $bend = array_map(static fn (float $value, float $place): float => $value - $level - $slope * $place, $square, $x);
        $strength = array_sum(array_map(static fn (float $value): float => $value ** 2, $bend));
        $along = array_sum(array_map(
            static fn (float $value, Hit $hit): float => $value * ($hit->ms - $medians[$hit->slot]),
            $bend,
            $hits,
        ));

        return $strength > 1e-9 ? -120 * $bpm * $along / $strength / 1000 / $half ** 2 : 0.0;
    }
}
