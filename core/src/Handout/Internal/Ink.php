<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

/**
 * The strokes of the pen: SVG in black and white, its styles written in, so that it is the same on paper, in a file and on
 * the screen.
 *
 * @internal used by the handout
 */
final class Ink
{
    public const SIGNS = '♭♯♮𝄫𝄪';

    /** @var array<int, array<string, int>> */
    private static array $widths = [];

    /** @param 'start'|'middle'|'end' $anchor */
    public static function text(
        float $x,
        float $y,
        string $text,
        float $size,
        int $weight = 400,
        string $anchor = 'start',
        string $fill = '#000',
        bool $italic = false,
    ): string {
        return sprintf(
            '<text x="%s" y="%s" font-size="%s" font-weight="%d" text-anchor="%s" fill="%s"%s>%s</text>',
            self::n($x), self::n($y), self::n($size), $weight, $anchor, $fill, $italic ? ' font-style="italic"' : '', self::signed($text),
        );
    }

    public static function line(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        float $width = 1.0,
        string $colour = '#000',
        string $more = '',
    ): string {
        return sprintf(
            '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="%s" stroke-width="%s"%s/>',
            self::n($x1), self::n($y1), self::n($x2), self::n($y2), $colour, self::n($width), $more === '' ? '' : ' '.$more,
        );
    }

    public static function box(
        float $x,
        float $y,
        float $width,
        float $height,
        string $fill = 'none',
        float $stroke = 1.0,
        float $round = 0.0,
    ): string {
        return sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" rx="%s" fill="%s" stroke="#000" stroke-width="%s"/>',
            self::n($x), self::n($y), self::n($width), self::n($height), self::n($round), $fill, self::n($stroke),
        );
    }

    /** @param list<array{float, float}> $points */
    public static function shape(array $points, string $fill = '#000', float $stroke = 0.0): string
    {
        return sprintf(
            '<polygon points="%s" fill="%s"%s/>',
            implode(' ', array_map(static fn (array $point): string => self::n($point[0]).','.self::n($point[1]), $points)),
            $fill,
            $stroke > 0 ? sprintf(' stroke="#000" stroke-width="%s"', self::n($stroke)) : '',
        );
    }

    public static function path(string $d, float $width = 1.6): string
    {
        return sprintf('<path d="%s" fill="none" stroke="#000" stroke-width="%s"/>', $d, self::n($width));
    }

    public static function moved(float $x, float $y, string $svg): string
    {
        return sprintf('<g transform="translate(%s %s)">%s</g>', self::n($x), self::n($y), $svg);
    }

    /** How wide a text is, in px. */
    public static function width(string $text, float $size, int $weight = 400): float
    {
        $widths = self::widths();
        $sum = 0;
        foreach (mb_str_split($text) as $sign) {
            $sum += $widths[$weight][$sign] ?? $widths[$weight]['n'];
        }

        return $sum * $size / 1000;
    }

    /** @return array<int, array<string, int>> thousandths of the size, by weight and sign */
    private static function widths(): array
    {
        if (self::$widths === []) {
            /** @var array<int, array<string, int>> $measured */
            $measured = require __DIR__.'/../Data/widths.php';
            self::$widths = $measured;
        }

        return self::$widths;
    }

    /** @return list<string> the text in lines no wider than that; a word that is wider stands alone */
    public static function wrapped(string $text, float $size, float $width, int $weight = 400): array
    {
        $lines = [];
        foreach (explode("\n", $text) as $paragraph) {
            $line = '';
            foreach (explode(' ', $paragraph) as $word) {
                $longer = $line === '' ? $word : "{$line} {$word}";
                if ($line !== '' && self::width($longer, $size, $weight) > $width) {
                    $lines[] = $line;
                    $longer = $word;
                }
                $line = $longer;
            }
            $lines[] = $line;
        }

        return $lines;
    }

    /** The size at which a text is no wider than that. */
    public static function fitting(string $text, float $size, float $width, int $weight = 400): float
    {
        return min($size, $size * $width / max(1.0, self::width($text, $size, $weight)));
    }

    public static function n(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }

    /** Each music sign in the face that has it: a page that is kept for itself falls back on nothing. */
    private static function signed(string $text): string
    {
        $safe = htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);

        return (string) preg_replace('/['.self::SIGNS.']+/u', '<tspan font-family="Gravik Signs">$0</tspan>', $safe);
    }
}
