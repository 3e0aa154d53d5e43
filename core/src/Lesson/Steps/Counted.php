<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Strokes\Counting;
use Gravik\Strokes\Pattern;

/** A place of a pattern as it is counted, in the fewest signs: 2, 2&, 4e. */
final readonly class Counted
{
    public static function at(Pattern $pattern, int $tick): string
    {
        $meter = $pattern->meter;
        $grid = $pattern->grid();
        $slot = intdiv($tick % $meter->barTicks(), intdiv($meter->beatTicks(), $grid));
        $syllable = Counting::syllables($meter, $grid)[$slot];

        return $slot % $grid === 0 ? $syllable : (intdiv($slot, $grid) + 1).$syllable;
    }
}
