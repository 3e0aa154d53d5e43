<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Hearing\Internal\SweepReader;
use Gravik\Strokes\Direction;

/**
 * Hears which way a strum went where it is known which strings it struck: their fundamentals alone are followed. One that
 * lies on a harmonic of a lower string struck sets in with that string, and is left aside.
 */
final readonly class GripEar
{
    private const A4 = 69;

    private const A4_HZ = 440.0;

    /** Above this the recording's low end tells nothing. */
    private const HIGHEST_HZ = 800.0;

    private const HARMONICS = 8;

    /** As near to a harmonic as this share, a fundamental cannot be told from it. */
    private const NEAR = 0.025;

    /** @param float $cents the recording's tuning from A = 440, + sharp */
    public function __construct(private SweepReader $sweeps, private float $cents) {}

    /**
     * @param float     $t     seconds of the recording at which the strum begins
     * @param float     $until seconds at which the next one does
     * @param list<int> $midi  pitches of the strings struck
     *
     * @return ?Direction null where it cannot be told
     */
    public function direction(float $t, float $until, array $midi): ?Direction
    {
        $hz = array_map(fn (int $pitch): float => self::A4_HZ * 2 ** (($pitch - self::A4 + $this->cents / 100) / 12), $midi);
        sort($hz);
        $own = array_values(array_filter($hz, static fn (float $here): bool => $here < self::HIGHEST_HZ && ! self::isHarmonic($here, $hz)));

        return count($own) < 2 ? null : $this->sweeps->ofPartials($t, $until, $own)?->direction;
    }

    /** @param list<float> $all fundamentals */
    private static function isHarmonic(float $hz, array $all): bool
    {
        foreach ($all as $lower) {
            $times = (int) round($hz / $lower);
            if ($lower < 0.9 * $hz && $times <= self::HARMONICS && abs($hz / ($times * $lower) - 1) < self::NEAR) {
                return true;
            }
        }

        return false;
    }
}
