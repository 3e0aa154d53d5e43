<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Chart\Pin;
use Gravik\Handout\Block;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Song;
use Gravik\Neck\Grip\Voicing;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\ChordOf;

/**
 * Every grip that is played, once: its name, what the teacher calls it, and where it lies.
 *
 * @internal used by the handout
 */
final class GripBlocks
{
    private const MOST = 18;

    private const COLUMNS = 3;

    /** The least room beside a grip for its name, in px. */
    private const NAME = 80;

    /** @return list<Block> */
    public static function of(Song $song, HandoutWishes $wishes, float $width): array
    {
        $grips = [];
        foreach ($song->timeline->strokes as $stroke) {
            if (self::isAGrip($stroke)) {
                $grips[$stroke->voicing->chord->text().' '.$stroke->voicing->text()] ??= $stroke->voicing;
            }
        }
        if ($grips === []) {
            return [];
        }
        $more = max(0, count($grips) - self::MOST);
        $words = ($wishes->leftHanded ? 'nut right' : 'nut left').($wishes->highOnTop ? ', high string on top' : ', low string on top')
            .', black square: root, small figure: finger, × not struck'.($more > 0 ? "; {$more} more stand in the file" : '');
        $blocks = [Heading::of('Grips', $words, $width)];
        $columns = max(1, min(self::COLUMNS, (int) floor($width / (NeckInk::WIDTH + self::NAME))));
        $column = $width / $columns;
        foreach (array_chunk(array_slice(array_values($grips), 0, self::MOST), $columns) as $row) {
            $svg = '';
            foreach ($row as $place => $grip) {
                $svg .= Ink::moved($place * $column, 0, self::grip($song, $grip, $wishes, $column));
            }
            $blocks[] = new Block(NeckInk::HEIGHT + 6, $svg);
        }

        return $blocks;
    }

    private static function grip(Song $song, Voicing $grip, HandoutWishes $wishes, float $column): string
    {
        $words = $column - NeckInk::WIDTH - 12;
        $nickname = self::nickname($song, $grip);
        $svg = $wishes->names ? ChordInk::draw(0, 30, $grip->chord, 21, $words) : '';
        foreach (array_slice(Ink::wrapped($nickname, 11, $words, 700), 0, 2) as $line => $text) {
            $svg .= Ink::text(0, 48 + 13 * $line, $text, 11, 700, italic: true);
        }

        return $svg.Ink::text(0, 76, $grip->position === 0 ? 'open' : "fret {$grip->position}", 11, fill: '#333')
            .Ink::moved($words + 6, 0, NeckInk::draw($grip, $wishes->leftHanded, $wishes->highOnTop, $wishes->names));
    }

    private static function nickname(Song $song, Voicing $grip): string
    {
        foreach ($song->breakdown->lines as $line) {
            foreach ($line->pins as $pin) {
                if ($pin->nickname !== '' && self::isOf($pin, $grip)) {
                    return $pin->nickname;
                }
            }
        }

        return '';
    }

    private static function isOf(Pin $pin, Voicing $grip): bool
    {
        return $pin->symbol === $grip->chord->text() && $pin->frets === $grip->frets;
    }

    /** Open strings on the way and notes of figures are no grips. */
    private static function isAGrip(PlayedStroke $stroke): bool
    {
        return $stroke->of === null && $stroke->stroke->chord !== ChordOf::Open;
    }
}
