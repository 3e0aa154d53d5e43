<?php

declare(strict_types=1);

namespace Gravik\Time;

/**
 * A swung pair told in two ways: r, the ratio of its long note to its short one, and p, the share of the pair at which the
 * second note sounds. p = r/(1 + r), so r = p/(1 − p).
 */
final readonly class Swing
{
    /** @param float $ratio above 0; 1 is straight */
    public static function share(float $ratio): float
    {
        return $ratio / (1 + $ratio);
    }

    /** @param float $share above 0, below 1; a half is straight */
    public static function ratio(float $share): float
    {
        return $share / (1 - $share);
    }
}
