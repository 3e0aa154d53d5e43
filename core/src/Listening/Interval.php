<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** Within what a figure lies that was taken from few strokes: 95 %, by drawing them anew (bootstrap), with a fixed seed. */
final readonly class Interval
{
    public function __construct(public float $low, public float $high) {}

    /**
     * Of the median.
     *
     * @param list<float> $values
     *
     * @return ?self null where there is nothing
     */
    public static function ofMedian(array $values): ?self
    {
        return self::of($values, Statistics::median(...));
    }

    /**
     * Of the robust spread of what deviates from its middle.
     *
     * @param list<float> $values
     */
    public static function ofSpread(array $values): ?self
    {
        return self::of($values, Statistics::spread(...));
    }

    /** The same, moved. */
    public function less(float $by): self
    {
        return new self($this->low - $by, $this->high - $by);
    }

    /** Whether all of it lies further from 0 than this. */
    public function isBeyond(float $tolerance): bool
    {
        return $this->low > $tolerance || $this->high < -$tolerance;
    }

    /**
     * @param list<float>                           $values
     * @param \Closure(non-empty-list<float>): float $figure
     */
    private static function of(array $values, \Closure $figure): ?self
    {
        return $values === [] ? null : new self(...Statistics::interval($values, $figure));
    }
}
