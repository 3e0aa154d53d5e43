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

    public function words(): string
    {
        return match ($this) {
            self::SlideFromBelow => 'Slide in from a fret below',
            self::SlideFromAbove => 'Slide in from a fret above',
            self::WalkUp => 'Walk up fret by fret',
            self::WalkDown => 'Walk down fret by fret',
            self::WholeTones => 'Come down in whole tones',
            self::WholeTonesAndAHalf => 'Whole tones, then a half',
            self::InnerLine => 'Tonic held, a voice falls ♭7 6 ♭6 5',
            self::OpenStrings => 'Open strings while the hand travels',
        };
    }

    /** As it stands over a bar of the chart. */
    public function shortly(int $steps): string
    {
        return match ($this) {
            self::SlideFromBelow => 'slide up',
            self::SlideFromAbove => 'slide down',
            self::WalkUp => "walk up {$steps}",
            self::WalkDown => "walk down {$steps}",
            self::WholeTones, self::WholeTonesAndAHalf => "come down {$steps}",
            self::InnerLine => 'inner line',
            self::OpenStrings => 'open strings',
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
