<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/** A small repeatable source of noise: the same sound each time it is made. */
final class Noise
{
    private int $state;

    public function __construct(int $seed)
    {
        $this->state = ($seed * 2654435761 + 1013904223) & 0xFFFFFFFF;
    }

    /** −1 to 1 */
    public function next(): float
    {
        $this->state = ($this->state * 1664525 + 1013904223) & 0xFFFFFFFF;

        return $this->state / 2147483648 - 1;
    }
}
