<?php

declare(strict_types=1);

namespace Gravik\Simulation\Material;

/** Ways of making the sound of a string that have little in common with each other or with the simulator's own. */
enum Way: string
{
    case Physical = 'physical';
    case Additive = 'additive';
    case Fm = 'fm';
    case Granular = 'granular';
    case Driven = 'driven';
}
