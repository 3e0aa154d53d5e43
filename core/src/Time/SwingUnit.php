<?php

declare(strict_types=1);

namespace Gravik\Time;

enum SwingUnit: string
{
    case Eighth = 'eighth';
    case Sixteenth = 'sixteenth';
}
