<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** Measures a device's delay from taps along with clicks: the median of how late each tap came after its click. */
final readonly class LatencyCheck
{
    private const FEWEST = 8;

    private function __construct(public float $latencyMs, public float $spreadMs, public int $taps) {}

    /**
     * @param list<float> $clicks seconds
     * @param list<float> $taps   seconds
     *
     * @throws ListeningException where too few taps met a click
     */
    public static function of(array $clicks, array $taps): self
    {
        $late = [];
        $gap = INF;
        foreach (array_slice($clicks, 1) as $place => $click) {
            $gap = min($gap, $click - $clicks[$place]);
        }
        foreach ($clicks as $click) {
            $nearest = null;
            foreach ($taps as $tap) {
                $ms = 1000 * ($tap - $click);
                if ($ms > -400 * $gap && $ms < 600 * $gap && ($nearest === null || abs($ms) < abs($nearest))) {
                    $nearest = $ms;
                }
            }
            if ($nearest !== null) {
                $late[] = $nearest;
            }
        }
        if (count($late) < self::FEWEST) {
            throw ListeningException::tooFewChecks(count($late));
        }

        return new self(Statistics::median($late), Statistics::spread($late), count($late));
    }
}
