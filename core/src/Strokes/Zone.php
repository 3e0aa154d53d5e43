<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** Which of the strings that the grip sounds are struck. */
enum Zone: string
{
    case Bass = 'bass';
    case Low = 'low';
    case Middle = 'middle';
    case High = 'high';
    case All = 'all';
}
