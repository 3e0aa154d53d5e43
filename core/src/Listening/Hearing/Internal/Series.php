<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * Figures of a recording in order of time, with running sums, so that the mean of any span costs nothing.
 *
 * @internal
 */
final readonly class Series
{
    /** @var non-empty-list<float> one more than there are values */
    private array $sums;

    private int $count;

    /** @param list<float> $values */
    public function __construct(public array $values)
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($values as $value) {
            $sums[] = $sum += $value;
        }
        $this->sums = $sums;
        $this->count = count($values);
    }

    /** From one place up to another; what lies outside the recording does not count, and nothing is 0. */
    public function mean(int $from, int $to): float
    {
        $from = $from < 0 ? 0 : $from;
        $to = $to > $this->count ? $this->count : $to;
        $sum = $to > $from ? $this->sums[$to] - $this->sums[$from] : 0.0;

        return $sum > 0.0 ? $sum / ($to - $from) : 0.0;
    }

    public function loudest(int $from, int $to): float
    {
        return max([0.0, ...array_slice($this->values, max(0, $from), max(0, $to - max(0, $from)))]);
    }

    /** @param float $share of the values that lie at or below it, 0 to 1 */
    public function quantile(float $share): float
    {
        $sorted = $this->values;
        sort($sorted);

        return $sorted[(int) ($share * (count($sorted) - 1))] ?? 0.0;
    }
}
