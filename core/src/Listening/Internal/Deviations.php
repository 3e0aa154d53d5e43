<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Interval;
use Gravik\Listening\Statistics;

/**
 * The figures over all matched strokes.
 *
 * @internal
 */
final readonly class Deviations
{
    /**
     * @param float  $biasMs      median of all deviations, after the curve of a drift
     * @param float  $spreadMs    what is left after the straight line and each slot's own median
     * @param float  $lineSlope   ms a second that the deviations grow by; 10 for a tempo 1 % slower than planned
     * @param bool   $isLine      whether a steady tempo, another than planned perhaps, explains them at least as well as one that moves
     * @param ?Drift $drift       where the tempo moves
     * @param ?Interval $bias     within what the bias lies
     * @param ?Interval $spread   within what the spread lies
     */
    private function __construct(
        public float $biasMs,
        public float $spreadMs,
        public float $lineSlope,
        public bool $isLine,
        public ?Drift $drift,
        public ?Interval $bias,
        public ?Interval $spread,
    ) {}

    /**
     * @param list<Hit> $hits
     * @param ?Drift    $drift whose curve is taken off
     */
    public static function of(array $hits, ?Drift $drift = null): ?self
    {
        if ($hits === []) {
            return null;
        }
        $times = array_map(static fn (Hit $hit): float => $hit->t, $hits);
        $raw = array_map(static fn (Hit $hit): float => $hit->ms, $hits);
        [, $lineSlope] = Statistics::line($times, self::withoutSlotMedians($hits, $raw));
        $offLine = Statistics::spread(self::withoutSlotMedians(
            $hits,
            array_map(static fn (float $value, float $t): float => $value - $lineSlope * $t, $raw, $times),
        ));
        $ms = $drift === null ? $raw : array_map(static fn (Hit $hit): float => $hit->ms - $drift->at($hit->t), $hits);
        [, $slope] = Statistics::line($times, self::withoutSlotMedians($hits, $ms));

        $scatter = self::withoutSlotMedians(
            $hits,
            array_map(static fn (float $value, float $t): float => $value - $slope * $t, $ms, $times),
        );

        return new self(
            Statistics::median($ms),
            Statistics::spread($scatter),
            $lineSlope,
            $drift === null || $offLine <= Statistics::spread(self::withoutSlotMedians($hits, $ms)),
            $drift,
            Interval::ofMedian($ms),
            Interval::ofSpread($scatter),
        );
    }

    /** What a stroke is off by, the curve of a drift taken off: ms. */
    public function left(Hit $hit): float
    {
        return $hit->ms - ($this->drift?->at($hit->t) ?? 0.0);
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
}
