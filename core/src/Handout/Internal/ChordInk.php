<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Harmony\ChordSymbol;

/**
 * Chord names: the root large, the rest smaller beside it.
 *
 * @internal used by the handout
 */
final class ChordInk
{
    private const REST = 0.6;

    public static function draw(float $x, float $y, ChordSymbol $chord, float $size, float $room): string
    {
        $size = min($size, $size * $room / max(1.0, self::width($chord, $size)));
        $root = $chord->root->text();

        return Ink::text($x, $y, $root, $size, 700)
            .Ink::text($x + Ink::width($root, $size, 700) + 1, $y, self::rest($chord), self::REST * $size, 700);
    }

    public static function width(ChordSymbol $chord, float $size): float
    {
        return Ink::width($chord->root->text(), $size, 700) + 1 + Ink::width(self::rest($chord), self::REST * $size, 700);
    }

    private static function rest(ChordSymbol $chord): string
    {
        return $chord->ending.($chord->bass === null ? '' : '/'.$chord->bass->text());
    }
}
