<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** The ways of coming to a grip: what is played in the slots before it. */
enum ApproachKind: string
{
    case SlideFromBelow = 'slide-from-below';
    case SlideFromAbove = 'slide-from-above';
    case WalkUp = 'walk-up';
    case WalkDown = 'walk-down';
    case WholeTones = 'whole-tones';
    case WholeTonesAndAHalf = 'whole-tones-and-a-half';
    case InnerLine = 'inner-line';
    case OpenStrings = 'open-strings';

    /**
     * How far above the target each grip lies, in frets, in order of time; null where the approach is no moved grip.
     *
     * @param int $steps how many grips come before the target
     *
     * @return list<int>|null
     */
    public function offsets(int $steps): ?array
    {
        return match ($this) {
            self::SlideFromBelow => [-1],
            self::SlideFromAbove => [1],
            self::WalkUp => range(-$steps, -1),
            self::WalkDown => range($steps, 1),
            self::WholeTones => array_map(static fn (int $left): int => 2 * $left, range($steps, 1)),
            self::WholeTonesAndAHalf => array_map(static fn (int $left): int => 2 * $left - 1, range($steps, 1)),
            self::InnerLine, self::OpenStrings => null,
        };
    }

    /** How many grips it has where that is not for the teacher to choose. */
    public function ownSteps(): ?int
    {
        return match ($this) {
            self::SlideFromBelow, self::SlideFromAbove, self::OpenStrings => 1,
            self::InnerLine => 4,
            default => null,
        };
    }
}
