<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

/** How one slot of the pattern was played in one take. */
final readonly class SlotOfTake
{
    /**
     * @param string $name     as it is counted: "2&"
     * @param float  $biasMs   median; negative is early
     * @param float  $spreadMs robust deviation, 0 or more
     */
    public function __construct(public string $name, public float $biasMs, public float $spreadMs) {}
}
