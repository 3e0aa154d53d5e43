<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\FretRangeNotReadable;

/** The frets a search may use, counted from the capo; open strings only when it starts at 0. */
final readonly class FretRange
{
    public function __construct(public int $lowest = 0, public int $highest = 15)
    {
        if ($lowest < 0 || $highest > 24 || $lowest > $highest) {
            throw new FretRangeNotReadable("{$lowest}-{$highest}");
        }
    }

    public static function parse(string $typed): self
    {
        if (preg_match('/^\s*(\d{1,2})\s*-\s*(\d{1,2})\s*$/', $typed, $found) !== 1) {
            throw new FretRangeNotReadable($typed);
        }

        return new self((int) $found[1], (int) $found[2]);
    }
}
