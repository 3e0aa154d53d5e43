<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\CellField;
use Gravik\Breakdown\Failure\PassUnknown;
use Gravik\Breakdown\Pass;

/**
 * Says what is different for a part in a place: a pass, a section of it, some of its times or bars. What is as above anyway is
 * not said, so that it follows when what stands above changes.
 */
final readonly class CellSetter
{
    /**
     * @param ?string         $pass    id; null for what holds in every pass
     * @param Cell            $told    the place, and what it is to have there; what it does not name stays as it is
     * @param list<CellField> $asAbove what is not to be different there any more
     *
     * @throws BreakdownNotValid where there is no such pass, section, part, pattern or line
     */
    public function set(Breakdown $breakdown, ?string $pass, Cell $told, array $asAbove = []): Breakdown
    {
        if ($pass === null) {
            return $breakdown->with(cells: self::cells($breakdown->cells, $told, $asAbove));
        }
        if (! in_array($pass, array_map(static fn (Pass $each): string => $each->id, $breakdown->passes), true)) {
            throw new PassUnknown($pass);
        }
        $set = self::inPass($breakdown, $pass, $told, $asAbove);
        foreach (CellField::cases() as $field) {
            if ($field === CellField::Note || ! $told->names($field)) {
                continue;
            }
            $less = $told->without($field);
            $silent = self::inPass($breakdown, $pass, $less, [...$asAbove, $field]);
            if (self::soundAlike($set, $silent, $told->part)) {
                [$set, $told, $asAbove] = [$silent, $less, [...$asAbove, $field]];
            }
        }

        return $set;
    }

    /** @param list<CellField> $asAbove */
    private static function inPass(Breakdown $breakdown, string $pass, Cell $told, array $asAbove): Breakdown
    {
        return $breakdown->with(passes: array_map(
            static fn (Pass $each): Pass => $each->id === $pass ? $each->with(self::cells($each->cells, $told, $asAbove)) : $each,
            $breakdown->passes,
        ));
    }

    /** Whether the part plays every bar alike in both, which are of one course. */
    private static function soundAlike(Breakdown $one, Breakdown $other, string $part): bool
    {
        $course = $one->course();
        $playings = $other->playings($course, $part);
        foreach ($one->playings($course, $part) as $bar => $playing) {
            if (! $playing->equals($playings[$bar])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<Cell>      $cells
     * @param list<CellField> $asAbove
     *
     * @return list<Cell>
     */
    private static function cells(array $cells, Cell $told, array $asAbove): array
    {
        $elsewhere = array_values(array_filter(
            $cells,
            static fn (Cell $cell): bool => ! $cell->isAt($told) || ($cell->bars === null) !== ($told->bars === null),
        ));
        $here = array_filter($cells, static fn (Cell $cell): bool => ! in_array($cell, $elsewhere, true));
        $blank = new Cell($told->part, $told->section, $told->times);
        $changed = $told->bars === null
            ? [self::changed(array_reduce($here, static fn (Cell $all, Cell $cell): Cell => $all->under($cell), $blank), $told, $asAbove)]
            : self::bars($here, $told, $told->bars, $asAbove);

        return [...$elsewhere, ...array_values(array_filter($changed, static fn (Cell $cell): bool => ! $cell->saysNothing()))];
    }

    /** @param list<CellField> $asAbove */
    private static function changed(Cell $cell, Cell $told, array $asAbove): Cell
    {
        foreach ($asAbove as $field) {
            $cell = $cell->without($field);
        }

        return $cell->under($told);
    }

    /**
     * Bar by bar, and those that then say the same together again.
     *
     * @param array<int, Cell> $here    those of single bars of the place
     * @param list<int>        $bars    that are told something
     * @param list<CellField>  $asAbove
     *
     * @return list<Cell>
     */
    private static function bars(array $here, Cell $told, array $bars, array $asAbove): array
    {
        $byBar = [];
        foreach ($here as $cell) {
            foreach ($cell->bars ?? [] as $bar) {
                $byBar[$bar] = isset($byBar[$bar]) ? $byBar[$bar]->under($cell) : $cell;
            }
        }
        foreach ($bars as $bar) {
            $byBar[$bar] = self::changed($byBar[$bar] ?? new Cell($told->part, $told->section, $told->times), $told, $asAbove);
        }
        ksort($byBar);
        /** @var array<string, array{Cell, list<int>}> $alike */
        $alike = [];
        foreach ($byBar as $bar => $cell) {
            $same = $cell->telling();
            $alike[$same] = [$cell, [...$alike[$same][1] ?? [], $bar]];
        }

        return array_map(
            static fn (array $each): Cell => $each[0]->at((string) $told->section, $each[1]),
            array_values($alike),
        );
    }
}
