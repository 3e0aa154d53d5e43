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
    case Vibrato = 'vibrato';
    case Grace = 'grace';
    case Drag = 'drag';
}
