<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** Robust figures: a few wild strokes do not move them. */
final readonly class Statistics
{
    /** Scales the median absolute deviation to a standard deviation of normally spread values. */
    private const MAD_TO_SD = 1.4826;

    private const RESAMPLES = 400;

    /** @param non-empty-list<float> $values */
    public static function median(array $values): float
    {
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2;
    }

    /** @param non-empty-list<float> $values */
    public static function spread(array $values): float
    {
        $median = self::median($values);

        return self::MAD_TO_SD * self::median(array_map(static fn (float $value): float => abs($value - $median), $values));
    }

    /**
     * Least-squares line.
     *
     * @param non-empty-list<float> $x
     * @param non-empty-list<float> $y as many
     *
     * @return array{float, float} value at x = 0, slope
     */
    public static function line(array $x, array $y): array
    {
        $count = count($x);
        $meanX = array_sum($x) / $count;
        $meanY = array_sum($y) / $count;
        $xx = 0.0;
        $xy = 0.0;
        foreach ($x as $index => $value) {
            $xx += ($value - $meanX) ** 2;
            $xy += ($value - $meanX) * ($y[$index] - $meanY);
        }
        $slope = $xx > 0 ? $xy / $xx : 0.0;

        return [$meanY - $slope * $meanX, $slope];
    }

    /** @return float how likely it is that of so many tries this many or more succeed, each with this chance: the binomial tail */
    public static function atLeast(int $successes, int $tries, float $chance): float
    {
        $exactly = (1 - $chance) ** $tries;
        $fewer = 0.0;
        for ($count = 0; $count < $successes; $count++) {
            $fewer += $exactly;
            $exactly *= ($tries - $count) / ($count + 1) * $chance / (1 - $chance);
        }

        return max(0.0, 1 - $fewer);
    }

    /**
     * 95 % bootstrap interval of a figure, with a fixed seed: the same values give the same interval.
     *
     * @param non-empty-list<float>                  $values
     * @param ?\Closure(non-empty-list<float>): float $figure the median where null
     *
     * @return array{float, float}
     */
    public static function interval(array $values, ?\Closure $figure = null): array
    {
        $figure ??= self::median(...);
        $chance = new \Random\Randomizer(new \Random\Engine\Mt19937(20_240_917));
        $count = count($values);
        $figures = [];
        for ($sample = 0; $sample < self::RESAMPLES; $sample++) {
            $drawn = [];
            for ($index = 0; $index < $count; $index++) {
                $drawn[] = $values[$chance->getInt(0, $count - 1)];
            }
            $figures[] = $figure($drawn === [] ? $values : $drawn);
        }
        sort($figures);

        return [$figures[(int) floor(0.025 * self::RESAMPLES)], $figures[(int) ceil(0.975 * self::RESAMPLES) - 1]];
    }
}
