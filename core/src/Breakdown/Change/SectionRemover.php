<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\OnlySection;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Pin;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\Section;
use Gravik\Chart\VoicingLine;

/** Takes a section out, and with it what was held to it alone: its pins, moves and cells, and its times in the form. */
final readonly class SectionRemover
{
    /** @throws BreakdownNotValid where there is no such section, or no other */
    public function remove(Breakdown $breakdown, string $id): Breakdown
    {
        $left = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id !== $id));
        if (count($left) === count($breakdown->sections)) {
            throw new SectionUnknown($id);
        }
        if ($left === []) {
            throw new OnlySection();
        }
        $form = array_values(array_filter($breakdown->form, static fn (FormEntry $each): bool => $each->section !== $id));

        return $breakdown->with(
            sections: $left,
            form: $form === [] ? [new FormEntry($left[0]->id)] : $form,
            lines: array_map(static fn (VoicingLine $line): VoicingLine => $line->with(
                pins: array_values(array_filter($line->pins, static fn (Pin $pin): bool => $pin->at->section !== $id)),
            ), $breakdown->lines),
            passes: array_map(static fn (Pass $pass): Pass => $pass->with(self::cellsWithout($pass->cells, $id)), $breakdown->passes),
            cells: self::cellsWithout($breakdown->cells, $id),
            placed: array_values(array_filter($breakdown->placed, static fn (PlacedMove $each): bool => $each->at->section !== $id)),
            played: array_values(array_filter($breakdown->played, static fn (PlacedFigure $each): bool => $each->at->section !== $id)),
        );
    }

    /**
     * @param list<Cell> $cells
     *
     * @return list<Cell>
     */
    private static function cellsWithout(array $cells, string $section): array
    {
        return array_values(array_filter($cells, static fn (Cell $cell): bool => $cell->section !== $section));
    }
}
