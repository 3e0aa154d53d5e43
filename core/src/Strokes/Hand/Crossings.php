<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Internal\StringPlace;
use Gravik\Strokes\Stroke;

/** How often the pick goes to another string, and at how many of these it has to come round a string to get there. */
final readonly class Crossings
{
    private function __construct(public int $count, public int $around) {}

    /** @param list<Stroke> $strokes in order of time, with directions; the pattern goes round */
    public static function of(array $strokes): self
    {
        $count = 0;
        $around = 0;
        foreach ($strokes as $place => $stroke) {
            $next = $strokes[($place + 1) % count($strokes)];
            $from = StringPlace::of($stroke);
            $to = StringPlace::of($next);
            if ($from === null || $to === null || $from === $to) {
                continue;
            }
            // A down stroke leaves the pick beyond its string on the high side, where the next higher string lies.
            $towards = $to < $from ? Direction::Down : Direction::Up;
            $count++;
            $around += $stroke->direction === $towards && $next->direction === $towards ? 0 : 1;
        }

        return new self($count, $around);
    }
}
