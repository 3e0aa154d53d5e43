<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Statistics;

/**
 * The figures over all matched strokes.
 *
 * @internal
 */
final readonly class Deviations
{
    /**
     * @param float $biasMs          median of all deviations
     * @param float $spreadMs        what is left after the straight-line drift and each slot's own median
     * @param float $driftBpmPerMin  how the tempo itself changes; 0 for one that is merely another
     * @param float $lineMs          what the straight line gains from the first stroke to the last; + later and later
     */
    private function __construct(public float $biasMs, public float $spreadMs, public float $driftBpmPerMin, public float $lineMs) {}

    /** @param list<Hit> $hits */
    public static function of(array $hits, float $bpm): ?self
    {
        if ($hits === []) {
            return null;
        }
        $times = array_map(static fn (Hit $hit): float => $hit->t, $hits);
        $ms = array_map(static fn (Hit $hit): float => $hit->ms, $hits);
        $centred = self::withoutSlotMedians($hits, $ms);
        [, $slope] = Statistics::line($times, $centred);
        $straightened = self::withoutSlotMedians($hits, array_map(static fn (float $value, float $t): float => $value - $slope * $t, $ms, $times));

        return new self(
            Statistics::median($ms),
            Statistics::spread($straightened),
            self::tempoDrift($times, $centred, $bpm),
            $slope * (max($times) - min($times)),
        );
    }

    /**
     * @param non-empty-list<Hit>   $hits
     * @param non-empty-list<float> $ms   one for each hit
     *
     * @return non-empty-list<float>
     */
    private static function withoutSlotMedians(array $hits, array $ms): array
    {
        $bySlot = [];
        foreach ($hits as $index => $hit) {
            $bySlot[$hit->slot][] = $ms[$index];
        }
        $medians = array_map(Statistics::median(...), $bySlot);

        return array_map(static fn (float $value, Hit $hit): float => $value - $medians[$hit->slot], $ms, $hits);
    }

    /**
     * A tempo that changes evenly by D BPM a minute bends the deviations into a parabola of curvature −D/(120·tempo)
     * seconds a second squared; the least-squares parabola gives it back.
     *
     * @param non-empty-list<float> $times seconds
     * @param non-empty-list<float> $ms
     */
    private static function tempoDrift(array $times, array $ms, float $bpm): float
    {
        $middle = (max($times) + min($times)) / 2;
        $half = (max($times) - min($times)) / 2;
        if ($half <= 0 || count($times) < 6) {
            return 0.0;
        }
        $x = array_map(static fn (float $t): float => ($t - $middle) / $half, $times);
        $square = array_map(static fn (float $value): float => $value ** 2, $x);
        [$level, $slope] = Statistics::line($x, $square);
        $bend = array_map(static fn (float $value, float $place): float => $value - $level - $slope * $place, $square, $x);
        $strength = array_sum(array_map(static fn (float $value): float => $value ** 2, $bend));
        $along = array_sum(array_map(static fn (float $value, float $deviation): float => $value * $deviation, $bend, $ms));
        $curvature = $strength > 1e-9 ? $along / $strength / 1000 / $half ** 2 : 0.0;

        return -120 * $bpm * $curvature;
    }
}
