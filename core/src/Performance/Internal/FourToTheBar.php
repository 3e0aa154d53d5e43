<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\Course;
use Gravik\Performance\Span;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stroke;

/**
 * Four to the bar: every beat down, soft, every other one a little stronger, let go before the next.
 *
 * @internal used by GuitarPart
 */
final readonly class FourToTheBar
{
    /** How much of a beat a stroke lasts. */
    private const SOUNDS = 0.75;

    /** @return list<array{int, Stroke, int}> tick by tick, all in the first line */
    public static function of(Span $span, Course $course): array
    {
        $strokes = [];
        foreach ($course->bars as $bar) {
            $beat = $bar->meter->beatTicks();
            for ($number = 0; $number < $bar->meter->beats(); $number++) {
                $tick = $bar->tick + $number * $beat;
                if ($tick >= $span->from && $tick < $span->until) {
                    $strokes[] = [$tick, new Stroke(
                        $number * $beat,
                        1,
                        direction: Direction::Down,
                        accent: $number % 2,
                        length: Length::ofTicks((int) (self::SOUNDS * $beat)),
                    ), 0];
                }
            }
        }

        return $strokes;
    }
}
