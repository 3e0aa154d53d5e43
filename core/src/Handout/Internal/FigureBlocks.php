<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Handout\Block;
use Gravik\Handout\Song;
use Gravik\Performance\PlayedStroke;

/**
 * Every figure in tab, as it is played where it comes first.
 *
 * @internal used by the handout
 */
final class FigureBlocks
{
    private const GAP = 9.0;

    /** @return list<Block> */
    public static function of(Song $song, float $width): array
    {
        $played = [];
        foreach ($song->timeline->strokes as $stroke) {
            if ($stroke->of !== null) {
                $played[$stroke->of->figure][$stroke->of->bar][] = $stroke;
            }
        }
        $blocks = [];
        foreach ($song->breakdown->figures as $figure) {
            $first = array_values($played[$figure->id] ?? [])[0] ?? [];
            if ($first !== []) {
                $blocks[] = self::tab(
                    $song,
                    $figure->name === '' ? $figure->id : $figure->name,
                    $figure->nickname,
                    $figure->pattern->ticks,
                    $first,
                    $width,
                );
            }
        }

        return $blocks === [] ? [] : [
            Heading::of('Figures', 'frets on the strings, the highest on top; what is played under them is in the chart', $width),
            ...$blocks,
        ];
    }

    /** @param non-empty-list<PlayedStroke> $strokes */
    private static function tab(Song $song, string $name, string $nickname, int $ticks, array $strokes, float $width): Block
    {
        $strings = $song->breakdown->neck->tuning->strings();
        $names = 120.0;
        $bar = $song->timeline->course->bars[$strokes[0]->of->bar ?? 0];
        $x = static fn (int $tick): float => $names + 14 + ($tick - $bar->tick) / max(1, $ticks) * ($width - $names - 28);
        $svg = Ink::text(0, 20, $name, Ink::fitting($name, 14, $names - 10, 700), 700).Ink::text(0, 36, $nickname, 11, italic: true)
            .Ink::text(
                0,
                52,
                'bar '.($song->timeline->course->form->bars[$bar->written]->number).', over '.$strokes[0]->voicing->chord->text(),
                10.5,
                fill: '#333',
            );
        for ($string = 0; $string < $strings; $string++) {
            $svg .= Ink::line($names, 8 + $string * self::GAP, $width, 8 + $string * self::GAP, 0.8, '#777');
        }
        foreach ($strokes as $stroke) {
            foreach ($stroke->strings as $string) {
                $fret = $stroke->stroke->isDead() ? '×' : (string) $stroke->voicing->frets[$string];
                $y = 8 + ($strings - 1 - $string) * self::GAP;
                $half = Ink::width($fret, 11.5, 700) / 2 + 1.5;
                $svg .= sprintf(
                    '<rect x="%s" y="%s" width="%s" height="9" fill="#fff"/>',
                    Ink::n($x($stroke->tick) - $half),
                    Ink::n($y - 4.5),
                    Ink::n(2 * $half),
                )
                    .Ink::text($x($stroke->tick), $y + 4, $fret, 11.5, 700, 'middle');
            }
        }

        return new Block(8 + $strings * self::GAP + 12, $svg);
    }
}
