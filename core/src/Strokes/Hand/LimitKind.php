<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

/** What gives out first as a pattern gets faster: strokes in one direction, or strokes in all. */
enum LimitKind: string
{
    case SameDirection = 'same-direction';
    case Total = 'total';
}
