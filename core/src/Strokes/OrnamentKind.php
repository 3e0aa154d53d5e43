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
}
