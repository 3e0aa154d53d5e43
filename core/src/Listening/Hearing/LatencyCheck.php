<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Failure\ClicksNotHeard;
use Gravik\Listening\Failure\TooFewCheckTaps;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Statistics;

/** Measures a device's delay from taps along with clicks: the median of how late each tap came after its click. */
final readonly class LatencyCheck
{
    private const FEWEST = 8;

    private function __construct(public float $latencyMs, public float $spreadMs, public int $taps) {}

    /**
     * From a recording of the device's own clicks.
     *
     * @param list<float>       $clicks  seconds into the recording at which they were played
     * @param list<HeardStroke> $strokes
     *
     * @throws ListeningException where too few clicks are heard
     */
    public static function heard(array $clicks, array $strokes): self
    {
        $late = self::late($clicks, array_map(static fn (HeardStroke $stroke): float => $stroke->t, $strokes));

        return $late === [] || count($late) < self::FEWEST
            ? throw new ClicksNotHeard(count($late), count($clicks))
            : new self(Statistics::median($late), Statistics::spread($late), count($late));
    }

    /**
     * From taps along with clicks.
     *
     * @param list<float> $clicks seconds
     * @param list<float> $taps   seconds
     *
     * @throws ListeningException where too few taps met a click
     */
    public static function of(array $clicks, array $taps): self
    {
        $late = self::late($clicks, $taps);

        return $late === [] || count($late) < self::FEWEST
            ? throw new TooFewCheckTaps(count($late))
            : new self(Statistics::median($late), Statistics::spread($late), count($late));
    }

    /**
     * How late each click was met, ms; those that were not are left out.
     *
     * @param list<float> $clicks
     * @param list<float> $taps
     *
     * @return list<float>
     */
    private static function late(array $clicks, array $taps): array
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

        return $late;
    }
}
