<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** A stroke that was matched: where it belongs and how far off it came. */
final readonly class Hit
{
    /** @param float $t seconds where it was planned */
    public function __construct(public int $slot, public int $bar, public float $t, public float $ms, public bool $wrongDirection) {}
}
