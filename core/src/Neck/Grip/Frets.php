<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Harmony\ChordSymbol;

/** Moves the frets of a grip along the neck, one entry a string from low to high, null where muted. */
final class Frets
{
    private const HIGHEST = 15;

    /**
     * @param list<int|null> $frets
     *
     * @return list<int|null>|null null where an open string keeps it in place, or it leaves frets 1 to 15
     */
    public static function slid(array $frets, int $by): ?array
    {
        $moved = [];
        foreach ($frets as $fret) {
            if ($fret !== null && ($fret === 0 || $fret + $by < 1 || $fret + $by > self::HIGHEST)) {
                return null;
            }
            $moved[] = $fret === null ? null : $fret + $by;
        }

        return $moved;
    }

    /**
     * Onto a root so many semitones higher, by the shorter way along the neck, else by the longer.
     *
     * @param list<int|null> $frets
     * @param int            $semitones 0 to 11
     *
     * @return list<int|null>|null
     */
    public static function raised(array $frets, int $semitones): ?array
    {
        return $semitones <= 6
            ? self::slid($frets, $semitones) ?? self::slid($frets, $semitones - 12)
            : self::slid($frets, $semitones - 12) ?? self::slid($frets, $semitones);
    }

    /**
     * A grip of one chord on the root of another: the same frets where the roots are the same.
     *
     * @param list<int|null> $frets
     *
     * @return list<int|null>|null
     */
    public static function onRootOf(ChordSymbol $chord, array $frets, ChordSymbol $from): ?array
    {
        $up = ($chord->rootPitchClass() - $from->rootPitchClass() + 12) % 12;

        return $up === 0 ? $frets : self::raised($frets, $up);
    }

    /** @param list<int|null> $frets */
    public static function text(array $frets): string
    {
        return implode(' ', array_map(static fn (?int $fret): string => $fret === null ? 'x' : (string) $fret, $frets));
    }
}
