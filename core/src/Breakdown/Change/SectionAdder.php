<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;

/** Adds a section to a song: at its end in every pass, or as an intro that comes once, before the first. */
final readonly class SectionAdder
{
    private const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'];

    /**
     * @param ?string $name null for the next letter that no section has
     *
     * @throws BreakdownNotValid where there is no room for one more
     */
    public function add(Breakdown $breakdown, string $line, ?string $name = null, bool $intro = false): Breakdown
    {
        $used = array_map(static fn (Section $section): string => $section->name, $breakdown->sections);
        $free = array_values(array_diff(self::LETTERS, $used))[0] ?? 'Part '.(count($used) + 1);
        $section = new Section(FreeId::after('s', $breakdown->sections), $name ?? $free, $line);
        $entry = new FormEntry($section->id);

        return $intro
            ? $breakdown->with(
                sections: [$section, ...$breakdown->sections],
                form: [count($breakdown->passes) > 1 ? $entry->in([$breakdown->passes[0]->id]) : $entry, ...$breakdown->form],
            )
            : $breakdown->with(sections: [...$breakdown->sections, $section], form: [...$breakdown->form, $entry]);
    }
}
