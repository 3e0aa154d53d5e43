<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Pin;

/** A breakdown in its new key or above another capo, and the pinned grips that could not come along. */
final readonly class MovedBreakdown
{
    /** @param list<Pin> $dropped as they were before the move */
    public function __construct(public Breakdown $breakdown, public array $dropped) {}
}
