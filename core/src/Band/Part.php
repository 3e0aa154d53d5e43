<?php

declare(strict_types=1);

namespace Gravik\Band;

/** How loud a part is, where it sits against the beat, and whether it leaves the swing to the others. */
final readonly class Part
{
    /**
     * @param float $level    0 to 1
     * @param float $offsetMs + laid back, − ahead
     */
    public function __construct(public PartName $name, public float $level = 0.8, public float $offsetMs = 0.0, public bool $straight = false)
    {
        ($level >= 0 && $level <= 1 && abs($offsetMs) <= 100) || throw BandException::level();
    }
}
