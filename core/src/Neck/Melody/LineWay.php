<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

/** How a note of a line is had while a grip is held. */
enum LineWay: string
{
    case InTheGrip = 'in-the-grip';
    case OpenString = 'open-string';
    case FreeFinger = 'free-finger';
    case ByLettingGo = 'by-letting-go';
}
