<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;

/** Puts a section elsewhere among the others. A form that has every section once, in their order, follows. */
final readonly class SectionMover
{
    /**
     * @param int $place among the sections, from 0; beyond the last it is the last
     *
     * @throws BreakdownNotValid where there is no such section
     */
    public function move(Breakdown $breakdown, string $id, int $place): Breakdown
    {
        $others = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id !== $id));
        $moved = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id === $id));
        if ($moved === []) {
            throw new SectionUnknown($id);
        }
        $at = max(0, min(count($others), $place));
        $sections = [...array_slice($others, 0, $at), ...$moved, ...array_slice($others, $at)];

        return $breakdown->with(sections: $sections, form: self::isPlain($breakdown) ? self::plain($sections) : $breakdown->form);
    }

    private static function isPlain(Breakdown $breakdown): bool
    {
        $written = static fn (FormEntry $entry): string => "{$entry->section} {$entry->times}";

        return array_map($written, $breakdown->form) === array_map($written, self::plain($breakdown->sections));
    }

    /**
     * @param non-empty-list<Section> $sections
     *
     * @return non-empty-list<FormEntry>
     */
    private static function plain(array $sections): array
    {
        return array_map(static fn (Section $section): FormEntry => new FormEntry($section->id), $sections);
    }
}
