<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** What touches the strings. */
enum PlayedBy: string
{
    case Pick = 'pick';
    case Thumb = 'thumb';
    case Index = 'i';
    case Middle = 'm';
    case Ring = 'a';
    case PickAndFinger = 'pick+finger';
    case Fingers = 'fingers';
}
