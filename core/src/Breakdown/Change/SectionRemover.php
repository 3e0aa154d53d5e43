<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Chart\Approach;
use Gravik\Chart\Pin;

/** Takes a section out: what was held to places in later ones goes along with them, what was held to this one goes. */
final readonly class SectionRemover
{
    /**
     * @param int $place from 0
     *
     * @throws BreakdownNotValid where there is no such section, or no other
     */
    public function remove(Breakdown $breakdown, int $place): Breakdown
    {
        if (! isset($breakdown->sections[$place]) || count($breakdown->sections) === 1) {
            throw BreakdownNotValid::noSuchSection($place + 1, count($breakdown->sections));
        }
        $renumbered = static fn (int $section): int => $section > $place ? $section - 1 : $section;
        $sections = array_values(array_diff_key($breakdown->sections, [$place => true]));
        $pins = array_values(array_filter($breakdown->pins, static fn (Pin $pin): bool => $pin->section !== $place));
        $approaches = array_values(array_filter($breakdown->approaches, static fn (Approach $each): bool => $each->section !== $place));

        return $sections === [] ? $breakdown : $breakdown->with(
            sections: $sections,
            pins: array_map(static fn (Pin $pin): Pin => $pin->inSection($renumbered($pin->section)), $pins),
            approaches: array_map(static fn (Approach $each): Approach => $each->inSection($renumbered($each->section)), $approaches),
        );
    }
}
