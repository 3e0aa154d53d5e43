<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Handout\Block;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Song;
use Gravik\Neck\Finder\CapoPlan;
use Gravik\Neck\RetunePlan;
use Gravik\Neck\Retuning;
use Gravik\Time\FeelWords;

/**
 * The head of the page: title, key, tempo, meter, feel, tuning with what to retune, capo, set-up.
 *
 * @internal used by the handout
 */
final class HeadBlocks
{
    /** @return non-empty-list<Block> */
    public static function of(Song $song, HandoutWishes $wishes, float $width): array
    {
        $breakdown = $song->breakdown;
        $for = $wishes->for === '' ? '' : Ink::text($width, 34, $wishes->for, 15, 700, 'end');
        $room = $width - ($wishes->for === '' ? 0 : 20 + Ink::width($wishes->for, 15, 700));
        $blocks = [new Block(
            50,
            Ink::text(0, 36, $breakdown->title, Ink::fitting($breakdown->title, 42, $room, 700), 700).$for.Ink::line(0, 47, $width, 47, 2.2),
        )];
        $start = $breakdown->start;
        $facts = [
            'Key' => $start->key->text(),
            'Tempo' => sprintf('%g', $start->tempo->bpm),
            'Meter' => $start->meter->text(),
            'Feel' => FeelWords::of($start->feel, $start->tempo),
            'Tuning' => str_replace('-', ' ', $breakdown->neck->tuning->slug),
            'Capo' => $breakdown->neck->capo === 0 ? 'none' : "fret {$breakdown->neck->capo}, shapes of ".self::shapes($song),
        ];
        $x = 0.0;
        $svg = '';
        $column = ($width - 12) / 6.6;
        foreach ($facts as $name => $value) {
            $wide = $name === 'Feel' || $name === 'Capo' ? 1.3 * $column : $column;
            $svg .= Ink::text($x, 14, $name, 11, fill: '#333').Ink::text($x, 30, $value, Ink::fitting($value, 14.5, $wide - 8, 700), 700);
            $x += $wide;
        }
        $blocks[] = new Block(38, $svg);
        $more = array_filter([
            self::retuning($song),
            $breakdown->setUp->line === '' ? '' : "Set-up: {$breakdown->setUp->line}.",
            (string) $breakdown->setUp->caution($breakdown->neck->tuning),
        ], static fn (string $line): bool => $line !== '');
        foreach ($more as $line) {
            $blocks = [...$blocks, ...Heading::lines($line, 12.5, $width)];
        }

        return $blocks;
    }

    private static function retuning(Song $song): string
    {
        $tuning = $song->breakdown->neck->tuning;
        $used = array_values(
            array_unique(array_merge([], ...array_map(static fn ($voiced): array => $voiced->stringsUsed(), array_values($song->voiced)))),
        );
        $changes = array_filter(
            (new RetunePlan())->plan(RetunePlan::usual($tuning), $tuning, $used),
            static fn (Retuning $each): bool => $each->semitones !== 0 && $each->needed,
        );

        return $changes === [] ? '' : 'Retune: '.implode(', ', array_map(static fn (Retuning $each): string => sprintf(
            'string %d to %s (%+d)',
            $each->string,
            $each->to->text(),
            $each->semitones,
        ), $changes)).'.';
    }

    private static function shapes(Song $song): string
    {
        $start = $song->breakdown->start;

        return CapoPlan::shapeKey($start->key, $song->breakdown->neck->capo)->text();
    }
}
