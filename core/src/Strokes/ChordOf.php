<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** Which grip a stroke sounds: the one held, the next one (a push), or none: the open strings while the hand travels. */
enum ChordOf: string
{
    case This = 'this';
    case Next = 'next';
    case Open = 'open';
}
