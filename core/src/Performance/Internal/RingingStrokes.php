<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\Course;
use Gravik\Performance\Span;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stroke;

/**
 * Bars that only ring: each chord is struck once, down over the whole grip, and rings until it changes.
 *
 * @internal used by GuitarPart
 */
final readonly class RingingStrokes
{
    /** @return list<array{int, Stroke, int}> tick by tick, all in the first line */
    public static function of(Span $span, Course $course): array
    {
        $strokes = [];
        foreach ($course->chords as $chord) {
            if ($chord->tick >= $span->from && $chord->tick < $span->until) {
                $meter = $course->visits[$chord->visit]->setting->meter;
                $inBar = ($chord->tick - $course->visits[$chord->visit]->tick) % $meter->barTicks();
                $division = Divisions::of($inBar % $meter->beatTicks(), $meter->beatTicks());
                $strokes[] = [
                    $chord->tick,
                    new Stroke($inBar, $division, direction: Direction::Down, length: Length::untilChordChange()),
                    0,
                ];
            }
        }

        return $strokes;
    }
}
