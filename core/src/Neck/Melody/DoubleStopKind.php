<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

/** How two notes sit on a chord. */
enum DoubleStopKind: string
{
    case BothChordTones = 'both';
    case OneAndAColour = 'one';
    case Passing = 'passing';
}
