<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Chart\ChartException;
use Gravik\Chart\Ending;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Place;
use Gravik\Chart\Section;

/**
 * Lets a section end in one more way: its last bars become a first ending and a second that is like it, or a further ending
 * is added. The new one is for the next time the section comes in a pass; where it comes once, for the last pass; and where
 * there is one pass, the section comes twice from then on.
 */
final readonly class EndingForker
{
    /**
     * @param int $bars of its line that fork, where it has no endings yet
     *
     * @throws BreakdownNotValid where there is no such section
     * @throws ChartException  where the line has not so many bars and one more
     */
    public function fork(Breakdown $breakdown, string $id, int $bars): Breakdown
    {
        $section = self::section($breakdown, $id);
        if ($section->endings !== []) {
            return self::withEndings($breakdown, $section, [...$section->endings, self::next($breakdown, $section)]);
        }
        $reader = $section->setting($breakdown->start)->reader();
        $from = count($reader->read($section->line)->bars) - $bars;
        [$line, $ending] = $reader->splitAt($section->line, $from);
        $forked = $section->with(line: $line, endings: [new Ending([1], $ending)]);
        $comes = self::comes($breakdown, $id);
        $breakdown = $comes > 1 || count($breakdown->passes) > 1 ? $breakdown : $breakdown->with(form: array_map(
            static fn (FormEntry $entry): FormEntry => $entry->section === $id ? new FormEntry($id, 2, $entry->passes) : $entry,
            $breakdown->form,
        ));
        $moved = Places::moved($breakdown, static fn (Place $at): Place => $at->section === $id && $at->ending === null && $at->bar >= $from
            ? new Place($id, 0, $at->bar - $from, $at->tick)
            : $at);

        return self::withEndings($moved, $forked, [...$forked->endings, self::next($moved, $forked)]);
    }

    private static function next(Breakdown $breakdown, Section $section): Ending
    {
        $last = $section->endings[count($section->endings) - 1];
        $taken = array_merge(...array_map(static fn (Ending $ending): array => $ending->times, $section->endings));
        $next = max([0, ...$taken]) + 1;

        return $next <= self::comes($breakdown, $section->id)
            ? new Ending([$next], $last->line)
            : new Ending([], $last->line, [$breakdown->passes[count($breakdown->passes) - 1]->id]);
    }

    private static function comes(Breakdown $breakdown, string $id): int
    {
        return array_sum(array_map(
            static fn (FormEntry $entry): int => $entry->section === $id ? $entry->times : 0,
            $breakdown->form,
        ));
    }

    /** @param list<Ending> $endings */
    private static function withEndings(Breakdown $breakdown, Section $section, array $endings): Breakdown
    {
        return $breakdown->with(sections: array_map(
            static fn (Section $each): Section => $each->id === $section->id ? $section->with(endings: $endings) : $each,
            $breakdown->sections,
        ));
    }

    private static function section(Breakdown $breakdown, string $id): Section
    {
        return array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id === $id))[0]
            ?? throw new SectionUnknown($id);
    }
}
