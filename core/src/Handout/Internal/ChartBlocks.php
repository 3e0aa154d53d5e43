<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Chart\FormBar;
use Gravik\Chart\FormChord;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Handout\Block;
use Gravik\Handout\Song;
use Gravik\Neck\Finder\CapoPlan;

/**
 * The chart: four bars a row, endings under their section, shapes over the capo where there is one.
 *
 * @internal used by the handout
 */
final class ChartBlocks
{
    private const A_ROW = 4;

    private const NAMES = 54.0;

    /** @return list<Block> */
    public static function of(Song $song, float $width): array
    {
        $form = $song->breakdown->written();
        if ($form->bars === []) {
            return [];
        }
        $blocks = [Heading::of('Chart', self::way($song), $width)];
        foreach ($song->breakdown->sections as $section) {
            $endings = [null, ...array_keys($section->endings)];
            foreach ($endings as $ending) {
                $bars = array_filter(
                    $form->bars,
                    static fn (FormBar $bar): bool => $bar->section === $section->id && $bar->ending === $ending,
                );
                foreach (array_chunk($bars, self::A_ROW, true) as $row => $inRow) {
                    $name = $row > 0 ? '' : ($ending === null ? $section->name : self::ending($section, $ending));
                    $blocks[] = self::row($song, $inRow, $form->chords, $name, $ending !== null, $width);
                }
            }
        }

        return $blocks;
    }

    /** In which order the sections come. */
    private static function way(Song $song): string
    {
        $names = array_column(
            array_map(static fn (Section $section): array => [$section->id, $section->name], $song->breakdown->sections),
            1,
            0,
        );
        $way = array_map(
            static fn (FormEntry $entry): string => $names[$entry->section].($entry->times > 1 ? " × {$entry->times}" : ''),
            $song->breakdown->form,
        );
        $passes = count($song->breakdown->passes);

        return implode(', ', $way).($passes > 1 ? "; {$passes} times through" : '');
    }

    private static function ending(Section $section, int $ending): string
    {
        $times = $section->endings[$ending]->times;

        return $times === [] ? 'last' : implode(', ', $times).'.';
    }

    /**
     * @param array<int, FormBar> $bars   by number in the form
     * @param list<FormChord>     $chords
     */
    private static function row(Song $song, array $bars, array $chords, string $name, bool $ending, float $width): Block
    {
        $capo = $song->breakdown->neck->capo;
        $cell = ($width - self::NAMES) / self::A_ROW;
        $height = $capo > 0 ? 58.0 : 46.0;
        $svg = Ink::text(0, 34, $name, Ink::fitting($name, $ending ? 14 : 26, self::NAMES - 8, 700), 700);
        $place = 0;
        foreach ($bars as $number => $bar) {
            $left = self::NAMES + $place * $cell;
            $svg .= Ink::line($left, 6, $left, 42, 1.8).Ink::text($left + 5, 12, (string) $bar->number, 10.5, fill: '#333');
            $svg .= $ending ? Ink::line($left, 4, $left + $cell - 6, 4, 1.0) : '';
            foreach (array_filter($chords, static fn (FormChord $chord): bool => $chord->bar === $number) as $chord) {
                $at = $chord->at->tick / $bar->meter->barTicks();
                $room = $cell * min(1.0, $chord->ticks / $bar->meter->barTicks()) - 10;
                $x = $left + 8 + $at * ($cell - 8);
                $svg .= ChordInk::draw($x, 38, $chord->chord, 29, max(16.0, $room));
                $shape = CapoPlan::shapeOf($chord->chord, $song->breakdown->start->key, $capo);
                $svg .= $shape === null ? '' : Ink::text($x, 54, "({$shape->text()})", 12, fill: '#333');
            }
            $place++;
        }
        $right = self::NAMES + $place * $cell;

        return new Block($height, $svg.Ink::line($right, 6, $right, 42, $place < self::A_ROW ? 3.2 : 1.8));
    }
}
