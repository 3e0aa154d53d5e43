<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use XMLWriter;

/**
 * What was found in somebody else's file, bar by bar as it stands there, before anything was made of it: chords, and every
 * stroke on its strings or, where the file has none, as so many notes.
 *
 * @internal used by DraftBuilder
 */
final readonly class DraftPicture
{
    private const WIDTH = 340;

    private const BARS_A_ROW = 2;

    private const MOST_ROWS = 48;

    private const GAP = 9;

    private const ABOVE = 34;

    private const MARGIN = 8;

    private function __construct(private XMLWriter $svg, private int $strings) {}

    /**
     * @param list<DraftBar> $bars
     *
     * @return string an SVG
     */
    public static function of(array $bars, int $strings): string
    {
        $svg = new XMLWriter();
        $svg->openMemory();
        $picture = new self($svg, $strings);
        $rows = array_slice(array_chunk($bars, self::BARS_A_ROW), 0, self::MOST_ROWS);
        $row = self::ABOVE + ($strings - 1) * self::GAP + 22;
        $svg->startElement('svg');
        $picture->attributes([
            'xmlns' => 'http://www.w3.org/2000/svg',
            'viewBox' => sprintf('0 0 %d %d', self::WIDTH, count($rows) * $row + self::MARGIN),
            'role' => 'img',
            'aria-label' => sprintf('The file, %d of its %d bars', min(count($bars), self::MOST_ROWS * self::BARS_A_ROW), count($bars)),
            'font-size' => '11',
        ]);
        $number = 0;
        foreach ($rows as $place => $ofRow) {
            foreach ($ofRow as $column => $bar) {
                $number++;
                $picture->bar($bar, $number, $column * self::WIDTH / self::BARS_A_ROW, self::MARGIN + $place * $row);
            }
        }
        $svg->endElement();

        return $svg->outputMemory();
    }

    private function bar(DraftBar $bar, int $number, float $x, float $y): void
    {
        $width = self::WIDTH / self::BARS_A_ROW;
        $top = $y + self::ABOVE;
        $bottom = $top + ($this->strings - 1) * self::GAP;
        $at = static fn (int $tick): float => $x + 10 + ($width - 20) * $tick / $bar->meter->barTicks();
        for ($string = 0; $string < $this->strings; $string++) {
            $this->line($x, $top + $string * self::GAP, $x + $width, $top + $string * self::GAP, '#b8b2a3');
        }
        foreach ([$x, $x + $width] as $line) {
            $this->line($line, $top, $line, $bottom, '#1d2a33');
        }
        $section = $bar->section === null || $bar->section === '' ? '' : "  {$bar->section}";
        $this->text($x + 2, $y + 8, $number.$section, '#5b6468', 'start');
        foreach ($bar->chords as [$tick, $symbol]) {
            $this->text($at($tick), $y + 24, $symbol === '' ? 'N.C.' : $symbol, '#1d2a33', 'start', 13);
        }
        foreach ($bar->strokes as $stroke) {
            $frets = $stroke->frets === [] ? array_fill(0, max(1, $stroke->notes), null) : $stroke->frets;
            $lowest = count($frets) - 1;
            foreach (array_values($frets) as $place => $fret) {
                $string = $stroke->frets === [] ? max(0, $this->strings - 1 - ($lowest - $place)) : array_keys($frets)[$place] - 1;
                $sign = match (true) {
                    $stroke->dead => '×',
                    $fret === null => '●',
                    default => (string) $fret,
                };
                $this->text($at($stroke->tick), $top + $string * self::GAP + 4, $sign, '#1d2a33', 'middle', 10);
            }
        }
    }

    private function line(float $x1, float $y1, float $x2, float $y2, string $colour): void
    {
        $this->svg->startElement('line');
        $this->attributes(['x1' => $x1, 'y1' => $y1, 'x2' => $x2, 'y2' => $y2, 'stroke' => $colour]);
        $this->svg->endElement();
    }

    /** @param 'start'|'middle' $anchor */
    private function text(float $x, float $y, string $text, string $colour, string $anchor, int $size = 9): void
    {
        $this->svg->startElement('text');
        $this->attributes(['x' => round($x, 1), 'y' => $y, 'fill' => $colour, 'text-anchor' => $anchor, 'font-size' => $size]);
        $this->svg->text($text);
        $this->svg->endElement();
    }

    /** @param array<string, string|int|float> $attributes */
    private function attributes(array $attributes): void
    {
        foreach ($attributes as $name => $value) {
            $this->svg->writeAttribute($name, (string) $value);
        }
    }
}
