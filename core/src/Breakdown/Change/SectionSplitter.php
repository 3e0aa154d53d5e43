<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Chart\ChartException;
use Gravik\Chart\Dynamic;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Loudness;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\SungWords;

/**
 * Splits a section in two that are played one after the other wherever it was played: endings go to the second, what was held
 * to places goes along, and what was different in the section is different in both.
 */
final readonly class SectionSplitter
{
    private const LONGEST_NAME = 40;

    /**
     * @param int $bar of its line that the second part begins with, from 0
     *
     * @throws BreakdownNotValid where there is no such section
     * @throws ChartException  where the section has no such bar to begin anew with
     */
    public function split(Breakdown $breakdown, string $id, int $bar): Breakdown
    {
        $place = array_search($id, array_map(static fn (Section $each): string => $each->id, $breakdown->sections), true);
        if (! is_int($place)) {
            throw new SectionUnknown($id);
        }
        $section = $breakdown->sections[$place];
        [$before, $after] = $section->setting($breakdown->start)->reader()->splitAt($section->line, $bar);
        $second = $this->second($breakdown, $section, $after, $bar);
        $moved = static fn (Place $at): Place => match (true) {
            $at->section !== $id, $at->ending === null && $at->bar < $bar => $at,
            $at->ending === null => new Place($second->id, null, $at->bar - $bar, $at->tick),
            default => new Place($second->id, $at->ending, $at->bar, $at->tick),
        };

        return Places::moved($breakdown->with(
            sections: [
                ...array_slice($breakdown->sections, 0, $place),
                $section->with(
                    line: $before,
                    endings: [],
                    dynamics: array_values(array_filter($section->dynamics, static fn (Dynamic $mark): bool => $mark->bar < $bar)),
                    words: array_values(array_filter($section->words, static fn (SungWords $words): bool => $words->bar < $bar)),
                ),
                $second,
                ...array_slice($breakdown->sections, $place + 1),
            ],
            form: self::form($breakdown->form, $id, $second->id),
            passes: array_map(
                static fn (Pass $pass): Pass => $pass->with(self::inBoth($pass->cells, $id, $second->id, $bar)),
                $breakdown->passes,
            ),
            cells: self::inBoth($breakdown->cells, $id, $second->id, $bar),
        ), $moved);
    }

    private function second(Breakdown $breakdown, Section $section, string $line, int $bar): Section
    {
        $loud = (int) round(Loudness::ofBars($section->dynamics, $bar + 1)[$bar]->from);
        $name = mb_substr($section->name, 0, self::LONGEST_NAME - 2).' 2';

        return new Section(
            FreeId::after('s', $breakdown->sections),
            $name,
            $line,
            $section->key,
            $section->meter,
            $section->tempo,
            $section->feel,
            $section->endings,
            [
                ...$loud === Dynamic::FIRM ? [] : [new Dynamic(0, $loud)],
                ...array_map(
                    static fn (Dynamic $mark): Dynamic => new Dynamic($mark->bar - $bar, $mark->level, $mark->grows && $mark->bar > $bar),
                    array_filter($section->dynamics, static fn (Dynamic $mark): bool => $mark->bar >= $bar),
                ),
            ],
            array_values(array_map(
                static fn (SungWords $words): SungWords => new SungWords($words->bar - $bar, $words->text),
                array_filter($section->words, static fn (SungWords $words): bool => $words->bar >= $bar),
            )),
        );
    }

    /**
     * @param non-empty-list<FormEntry> $form
     *
     * @return non-empty-list<FormEntry> both halves in turn, as often as the section came
     */
    private static function form(array $form, string $first, string $second): array
    {
        $split = [];
        foreach ($form as $entry) {
            if ($entry->section !== $first) {
                $split[] = $entry;

                continue;
            }
            for ($time = 0; $time < $entry->times; $time++) {
                array_push($split, new FormEntry($first, 1, $entry->passes), new FormEntry($second, 1, $entry->passes));
            }
        }

        return $split === [] ? $form : $split;
    }

    /**
     * @param list<Cell> $cells
     *
     * @return list<Cell> what is different in single bars is so in the part that has them
     */
    private static function inBoth(array $cells, string $first, string $second, int $bar): array
    {
        $both = [];
        foreach ($cells as $cell) {
            if ($cell->section !== $first || $cell->bars === null) {
                $both[] = $cell;
            }
            if ($cell->section === $first && $cell->bars === null) {
                $both[] = $cell->at($second, null);
            }
            $before = array_values(array_filter($cell->bars ?? [], static fn (int $each): bool => $each < $bar));
            $after = array_values(array_filter($cell->bars ?? [], static fn (int $each): bool => $each >= $bar));
            if ($cell->section === $first && $before !== []) {
                $both[] = $cell->at($first, $before);
            }
            if ($cell->section === $first && $after !== []) {
                $both[] = $cell->at($second, array_map(static fn (int $each): int => $each - $bar, $after));
            }
        }

        return $both;
    }
}
