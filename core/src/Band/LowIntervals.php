<?php

declare(strict_types=1);

namespace Gravik\Band;

/** How low an interval may lie before it turns to mud: by its lower note (rules of thumb). */
final readonly class LowIntervals
{
    /** semitones => lowest MIDI note of the lower one: minor second E3 … sevenths F2 */
    private const LOWEST = [1 => 52, 2 => 51, 3 => 48, 4 => 46, 5 => 46, 6 => 46, 7 => 34, 8 => 41, 9 => 41, 10 => 41, 11 => 41];

    public static function isMuddy(int $lower, int $upper): bool
    {
        return $lower < (self::LOWEST[$upper - $lower] ?? 0);
    }

    /** The note below which this interval should not lie. */
    public static function lowest(int $semitones): int
    {
        return self::LOWEST[$semitones] ?? 0;
    }
}
