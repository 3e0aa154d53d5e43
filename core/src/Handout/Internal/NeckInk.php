<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Neck\Grip\Voicing;

/**
 * A grip on a piece of neck: degrees in the plates, fingers beside them, muted strings crossed at the nut.
 *
 * @internal used by the handout
 */
final class NeckInk
{
    public const WIDTH = 148.0;

    public const HEIGHT = 102.0;

    private const FRETS = 4;

    private const LEFT = 16.0;

    public static function draw(Voicing $grip, bool $leftHanded, bool $highOnTop, bool $names): string
    {
        $strings = count($grip->frets);
        $pressed = array_filter($grip->frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);
        $first = $pressed === [] || max($pressed) <= self::FRETS ? 1 : min($pressed);
        $shown = $pressed === [] ? self::FRETS : max(self::FRETS, max($pressed) - $first + 1);
        $fretWidth = (self::WIDTH - self::LEFT - 8) / $shown;
        $gap = 70.0 / ($strings - 1);
        $x = static fn (float $fret): float => $leftHanded
            ? self::WIDTH - self::LEFT - ($fret - $first + 1) * $fretWidth
            : self::LEFT + ($fret - $first + 1) * $fretWidth;
        $y = static fn (int $string): float => 8.0 + ($highOnTop ? $strings - 1 - $string : $string) * $gap;
        $svg = '';
        for ($fret = 0; $fret <= $shown; $fret++) {
            $svg .= Ink::line($x($first - 1 + $fret), 8.0, $x($first - 1 + $fret), 8.0 + 70.0, $fret === 0 && $first === 1 ? 3.4 : 1.0);
        }
        $degrees = $grip->degrees();
        foreach ($grip->frets as $string => $fret) {
            $svg .= Ink::line(
                $x($first - 1),
                $y($string),
                $x($first - 1 + $shown),
                $y($string),
                $fret === null ? 0.7 : 1.4,
                $fret === null ? '#777' : '#000',
            );
        }
        foreach ($grip->frets as $string => $fret) {
            $atNut = $x($first - 1) + ($leftHanded ? 9.0 : -9.0);
            if ($fret === null) {
                $svg .= Ink::text($atNut, $y($string) + 4, '×', 13, 700, 'middle');

                continue;
            }
            $degree = (string) $degrees[$string];
            $centre = $fret === 0 ? $atNut : $x($fret - 0.5);
            $svg .= self::plate($centre, $y($string), $degree, $fret === 0, $names);
            $finger = $grip->fingers[$string];
            if ($fret > 0 && $finger !== null) {
                $svg .= Ink::text($centre + 13, $y($string) - 3, $finger === 5 ? 'T' : (string) $finger, 9.5, 700, 'middle');
            }
        }
        for ($fret = 0; $fret < $shown; $fret++) {
            $svg .= Ink::text($x($first + $fret - 0.5), 97.0, (string) ($first + $fret), 10.5, $fret === 0 ? 700 : 400, 'middle');
        }

        return $svg;
    }

    /** The root is a black square, everything else a white plate; an open string's is small. */
    private static function plate(float $x, float $y, string $degree, bool $open, bool $names): string
    {
        $root = $degree === 'R';
        $half = $open ? 8.0 : 10.5;
        $told = $names ? $degree : '';

        return Ink::box($x - $half, $y - 6.5, 2 * $half, 13, $root ? '#000' : '#fff', 1.3, $root ? 0.0 : 6.5)
            .Ink::text($x, $y + 3.6, $told, Ink::fitting($told, 10.5, 2 * $half - 4, 700), 700, 'middle', $root ? '#fff' : '#000');
    }
}
