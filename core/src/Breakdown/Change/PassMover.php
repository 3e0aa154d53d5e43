<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\PassUnknown;
use Gravik\Breakdown\Pass;

/** Moves a pass among the others; everything that belongs to it goes along. */
final readonly class PassMover
{
    /**
     * @param int $position among the passes, from 0; beyond them it comes first or last
     *
     * @throws BreakdownNotValid where there is no such pass
     */
    public function move(Breakdown $breakdown, string $id, int $position): Breakdown
    {
        $others = array_values(array_filter($breakdown->passes, static fn (Pass $each): bool => $each->id !== $id));
        $moved = array_values(array_filter($breakdown->passes, static fn (Pass $each): bool => $each->id === $id));
        if ($moved === []) {
            throw new PassUnknown($id);
        }
        array_splice($others, max(0, $position), 0, $moved);

        return $breakdown->with(passes: $others);
    }
}
