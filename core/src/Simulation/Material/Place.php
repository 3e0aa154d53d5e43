<?php

declare(strict_types=1);

namespace Gravik\Simulation\Material;

/** Where a take was recorded, and what else is heard there. */
enum Place: string
{
    case Dry = 'dry';
    case Room = 'room';
    case Phone = 'phone';
    case Hum = 'hum';
    case Bleed = 'bleed';
    case Beside = 'beside';
}
