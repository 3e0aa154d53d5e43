<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** What the pick hand does. */
enum Action: string
{
    case Strum = 'strum';
    case Pick = 'pick';
    case Pinch = 'pinch';
    case Brush = 'brush';
    case Rake = 'rake';
    case Slap = 'slap';
    case TapDamp = 'tap-damp';
}
