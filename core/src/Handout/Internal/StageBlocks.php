<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Handout\Block;
use Gravik\Handout\Song;
use Gravik\Lesson\Steps\ToldStage;

/**
 * The stages of the lesson, with a box to tick, the tempos, and a line to write the clean one on.
 *
 * @internal used by the handout
 */
final class StageBlocks
{
    /** Where stages stand in two columns: narrower, their names would have to be small. */
    private const TWO_FROM = 600;

    /** @return list<Block> */
    public static function of(Song $song, float $width): array
    {
        $stages = array_values(array_filter(
            $song->lesson->stages(),
            static fn (ToldStage $stage): bool => $stage->planned->number !== null,
        ));
        $columns = $width < self::TWO_FROM ? 1 : 2;
        $column = ($width - 20 * ($columns - 1)) / $columns;
        $rows = (int) ceil(count($stages) / $columns);
        $blocks = [];
        for ($row = 0; $row < $rows; $row++) {
            $right = $columns === 1 ? null : $stages[$row + $rows] ?? null;
            $blocks[] = new Block(
                22,
                self::stage($stages[$row], $column).($right === null ? '' : Ink::moved($column + 20, 0, self::stage($right, $column))),
            );
        }

        return $blocks === [] ? [] : [
            Heading::of('Stages', 'tick it when two rounds in a row were clean, and write the tempo in', $width),
            ...$blocks,
        ];
    }

    private static function stage(ToldStage $stage, float $width): string
    {
        $ladder = $stage->ladder;
        $tempos = $ladder->start === $ladder->goal ? (string) $ladder->goal : "{$ladder->start} to {$ladder->goal}";
        $room = $width - 60 - 46 - 16 - Ink::width($tempos, 11.5);

        return Ink::box(0, 2, 14, 14, 'none', 1.5)
            .Ink::text(40, 14, (string) $stage->planned->number, 13.5, 700, 'end')
            .Ink::text(48, 14, $stage->name, Ink::fitting($stage->name, 12.5, $room), 400)
            .Ink::text($width - 52, 14, $tempos, 11.5, anchor: 'end', fill: '#333')
            .Ink::line($width - 42, 17, $width, 17, 1.0);
    }
}
