<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

/** One note of a figure, where it is played. */
final readonly class RiffNote
{
    /** @param int $string number, 1 = highest */
    public function __construct(public int $string, public int $fret, public int $midi) {}
}
