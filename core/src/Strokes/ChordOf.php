<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** Whether a stroke belongs to the chord it sounds over or is a push to the next one. */
enum ChordOf: string
{
    case This = 'this';
    case Next = 'next';
}
