<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Strokes\Direction;

/** One stroke as it was played: seconds from bar 1 beat 1, the hand's direction where it is known, and whether it was dead. */
final readonly class Tap
{
    public function __construct(public float $t, public ?Direction $direction = null, public bool $dead = false) {}
}
