<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Direction;

/** The hand passes the strings here and nothing sounds. */
final readonly class AirStroke
{
    public function __construct(public int $at, public int $division, public Direction $direction) {}
}
