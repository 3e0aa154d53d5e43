<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

/**
 * The bare rules of a grip read straight from their definition, one check after another over every combination of frets
 * that are not foreign to the chord: slow, and written apart from the search it is held against.
 */
final class BareRules
{
    /**
     * @param list<int>  $open     MIDI numbers low to high
     * @param array{int, int} $frets
     * @param int        $root     pitch class
     * @param list<int>  $required semitones above the root, all must sound
     * @param list<int>  $optional semitones above the root, may sound (the root only where listed in either)
     * @param list<int>  $oneOf    at least one must sound, unless empty
     * @param int        $fewest   strings that sound
     *
     * @return list<string> "x 3 2 0 1 0", sorted
     */
    public static function grips(
        array $open,
        array $frets,
        int $root,
        array $required,
        array $optional,
        array $oneOf,
        bool $rootLowest,
        int $fewest,
    ): array {
        $allowed = [...$required, ...$optional, ...$oneOf];
        $choices = array_map(static fn (int $string): array => [null, ...array_values(array_filter(
            range($frets[0], $frets[1]),
            static fn (int $fret): bool => in_array(($string + $fret - $root + 120) % 12, $allowed, true),
        ))], $open);
        $found = [];
        foreach (self::combinations($choices) as $grip) {
            $notes = [];
            foreach ($grip as $string => $fret) {
                if ($fret !== null) {
                    $notes[] = $open[$string] + $fret;
                }
            }
            $degrees = array_map(static fn (int $note): int => ($note - $root + 120) % 12, $notes);
            if (count($notes) >= $fewest
                && array_diff($required, $degrees) === []
                && ($oneOf === [] || array_intersect($oneOf, $degrees) !== [])
                && (! $rootLowest || (min($notes) - $root) % 12 === 0)
                && self::inOneBox($grip) && self::gaps($grip) <= 1 && self::fingers($grip) <= 4) {
                $found[] = implode(' ', array_map(static fn (?int $fret): string => $fret === null ? 'x' : (string) $fret, $grip));
            }
        }
        sort($found);

        return $found;
    }

    /** @param list<int|null> $grip */
    public static function fingers(array $grip): int
    {
        $fingers = 0;
        foreach (array_unique(array_filter($grip)) as $fret) {
            $previous = null;
            foreach (array_keys($grip, $fret, true) as $string) {
                $between = $previous === null ? [] : array_slice($grip, $previous + 1, $string - $previous - 1);
                $broken = array_filter($between, static fn (?int $other): bool => $other !== null && $other < $fret) !== [];
                $fingers += $previous === null || $broken ? 1 : 0;
                $previous = $string;
            }
        }

        return $fingers;
    }

    /** @param list<int|null> $grip */
    private static function inOneBox(array $grip): bool
    {
        $fretted = array_filter($grip);

        return $fretted === [] || max($fretted) - min($fretted) <= 3;
    }

    /** @param list<int|null> $grip */
    private static function gaps(array $grip): int
    {
        $sounding = array_keys(array_filter($grip, static fn (?int $fret): bool => $fret !== null));

        return max($sounding) - min($sounding) + 1 - count($sounding);
    }

    /**
     * @param list<list<int|null>> $choices for each string
     *
     * @return \Generator<list<int|null>>
     */
    private static function combinations(array $choices): \Generator
    {
        $all = array_product(array_map(count(...), $choices));
        for ($number = 0; $number < $all; $number++) {
            $rest = $number;
            $grip = [];
            foreach ($choices as $string) {
                $grip[] = $string[$rest % count($string)];
                $rest = intdiv($rest, count($string));
            }
            yield $grip;
        }
    }
}
