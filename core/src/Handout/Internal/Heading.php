<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Handout\Block;

/**
 * What a part of the page is called, and what is to be known of it in a few words.
 *
 * @internal used by the handout
 */
final class Heading
{
    public static function of(string $name, string $words, float $width): Block
    {
        $beside = 8 + Ink::width($name, 16, 700);
        $size = Ink::fitting($words, 11, $width - $beside);

        return new Block(
            30,
            Ink::line(0, 4, $width, 4, 1.0, '#777').Ink::text(0, 22, $name, 16, 700).Ink::text($beside, 22, $words, $size, fill: '#333'),
            withNext: true,
        );
    }

    /** @return list<Block> a text in lines, each a piece of its own */
    public static function lines(string $text, float $size, float $width, string $lead = ''): array
    {
        $indent = $lead === '' ? 0.0 : Ink::width($lead, $size, 700) + 8;
        $blocks = [];
        foreach (Ink::wrapped($text, $size, $width - $indent) as $number => $line) {
            $blocks[] = new Block(
                1.35 * $size,
                ($number === 0 && $lead !== '' ? Ink::text(0, $size, $lead, $size, 700) : '').Ink::text($indent, $size, $line, $size),
            );
        }

        return $blocks;
    }
}
