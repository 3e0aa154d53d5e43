<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand\Internal;

use Gravik\Strokes\Counting;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Hand\WarningKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;

/**
 * What a hand cannot play or count as it is written: thirds among halves within one beat of one line, and, for thumb and
 * fingers, a thumb that plays twice in a beat or leaves the beat of a triplet to the fingers.
 *
 * @internal used by HandPlanner
 */
final readonly class Faults
{
    /** @return list<Warning> */
    public static function of(Pattern $pattern, School $school): array
    {
        return [...self::overlaps($pattern), ...($school === School::ThumbFingers ? self::thumb($pattern) : [])];
    }

    /** @return list<Warning> one for each beat that is divided two ways, naming the strokes of the rarer kind */
    private static function overlaps(Pattern $pattern): array
    {
        $beatTicks = $pattern->meter->beatTicks();
        $warnings = [];
        foreach ($pattern->streams as $stream) {
            $within = [];
            foreach ($stream->strokes as $stroke) {
                if ($stroke->at % $beatTicks !== 0) {
                    $within[intdiv($stroke->at, $beatTicks)][$stroke->division % 3 === 0 ? 'thirds' : 'halves'][] = $stroke->at;
                }
            }
            foreach ($within as $beat => $kinds) {
                [$thirds, $halves] = [$kinds['thirds'] ?? [], $kinds['halves'] ?? []];
                if ($thirds !== [] && $halves !== []) {
                    $warnings[] = new Warning(WarningKind::TupletsOverlap, sprintf(
                        'On %s thirds lie among halves: nobody counts both in one beat. Move one kind, or write it in a second line.',
                        Counting::place($pattern, $beat * $beatTicks),
                    ),
                        count($thirds) > count($halves) ? $halves : $thirds);
                }
            }
        }

        return $warnings;
    }

    /** @return list<Warning> */
    private static function thumb(Pattern $pattern): array
    {
        $beat = $pattern->meter->beatTicks();
        $thumbs = [];
        $triplets = [];
        foreach ($pattern->strokes() as $stroke) {
            $number = intdiv($stroke->at, $beat);
            if (Turns::isBass($stroke)) {
                $thumbs[$number][] = $stroke->at;
            }
            if ($stroke->division % 3 === 0) {
                $triplets[$number] = true;
            }
        }
        $doubled = array_merge([], ...array_filter($thumbs, static fn (array $inBeat): bool => count($inBeat) > 1));
        $left = array_map(static fn (int $number): int => $number * $beat, array_keys(array_diff_key($triplets, $thumbs)));
        $warnings = [];
        if ($doubled !== []) {
            $warnings[] = new Warning(
                WarningKind::ThumbDoubles,
                sprintf(
                    'The thumb plays more than once within a beat (%s): it keeps one note a beat, and the fingers take what lies between.',
                    Counting::places($pattern, $doubled),
                ),
                $doubled,
            );
        }
        if ($left !== []) {
            $warnings[] = new Warning(
                WarningKind::ThumbMissing,
                sprintf('In triplets the thumb still plays once a beat: give it the first third of %s.', Counting::places($pattern, $left)),
                $left,
            );
        }

        return $warnings;
    }
}
