<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Strokes\Counting;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/** What a guitar alone strikes otherwise than with the band, as it is counted. */
final readonly class ArrangementDifferences
{
    /** @return ?string "more on beat 1, beat 3; gone on the “&” of beat 2"; null where the pattern stands in for none, '' where both are the same */
    public static function words(Breakdown $breakdown, NamedPattern $alone): ?string
    {
        $band = array_values(
            array_filter($breakdown->patterns, static fn (NamedPattern $each): bool => $each->id === $alone->aloneOf),
        )[0] ?? null;
        if ($band === null) {
            return null;
        }
        [$with, $without] = [self::strokes($band->pattern), self::strokes($alone->pattern)];
        $both = array_intersect_key($without, $with);

        $words = [
            self::told('more on', array_diff_key($without, $with), $alone->pattern),
            self::told('gone on', array_diff_key($with, $without), $band->pattern),
            self::told('otherwise on', array_filter(
                $both,
                static fn (array $strokes, int $tick): bool => serialize($strokes) !== serialize($with[$tick]),
                ARRAY_FILTER_USE_BOTH,
            ), $alone->pattern),
        ];

        return implode('; ', array_filter($words, static fn (string $each): bool => $each !== ''));
    }

    /** @return array<int, list<Stroke>> by tick */
    private static function strokes(Pattern $pattern): array
    {
        $byTick = [];
        foreach ($pattern->strokes() as $stroke) {
            $byTick[$stroke->at][] = $stroke;
        }
        ksort($byTick);

        return $byTick;
    }

    /** @param array<int, list<Stroke>> $strokes */
    private static function told(string $what, array $strokes, Pattern $pattern): string
    {
        return $strokes === []
            ? ''
            : "{$what} ".Counting::places($pattern, array_keys($strokes));
    }
}
