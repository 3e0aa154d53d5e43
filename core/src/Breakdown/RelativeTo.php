<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What a figure goes along with when it is placed elsewhere. */
enum RelativeTo: string
{
    case Chord = 'chord';
    case Key = 'key';
}
