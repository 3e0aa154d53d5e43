<?php

declare(strict_types=1);

namespace Gravik\Strokes;

enum OrnamentKind: string
{
    case SlideIn = 'slide-in';
    case SlideOut = 'slide-out';
    case HammerOn = 'hammer-on';
    case PullOff = 'pull-off';
    case BendRelease = 'bend-release';
    /** bent up and held */
    case Bend = 'bend';
    /** struck while it is held bent */
    case Bent = 'bent';
    /** struck bent, then let down */
    case Release = 'release';
    case Vibrato = 'vibrato';
    case Grace = 'grace';
    case Drag = 'drag';

    /** Where it usually comes from or goes to, in frets from the grip; null for those that move nowhere. */
    public function usualFrets(): ?int
    {
        return match ($this) {
            self::SlideIn, self::Grace => -1,
            self::SlideOut => -3,
            self::HammerOn => -2,
            self::PullOff, self::BendRelease, self::Bend, self::Bent, self::Release => 2,
            self::Vibrato, self::Drag => null,
        };
    }
}
