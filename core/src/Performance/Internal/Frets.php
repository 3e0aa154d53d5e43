<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Voicing;

/**
 * Single notes held on the neck, as a grip that nobody ranks.
 *
 * @internal used by FigureStrokes and TuneStrokes
 */
final readonly class Frets
{
    /**
     * @param array<int, ?int> $frets by string, low to high; null for one that is not struck
     * @param list<int>        $open  MIDI numbers of the open strings
     */
    public static function voicing(ChordSymbol $chord, array $frets, array $open): Voicing
    {
        $pressed = array_filter($frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);

        return new Voicing(
            $chord,
            array_values($frets),
            array_fill(0, count($frets), null),
            [],
            array_map(static fn (?int $fret, int $sounds): ?int => $fret === null ? null : $sounds + $fret, $frets, $open),
            0.0,
            $pressed === [] ? 0 : min($pressed),
            [],
            [],
        );
    }
}
