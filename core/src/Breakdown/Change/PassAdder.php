<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\PassUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Ending;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\Section;

/** Adds one more time through the form: as the song is, or as a pass there is already, from which one thing is then changed. */
final readonly class PassAdder
{
    /**
     * @param ?string $like id of the pass it is to be like, after which it comes; null for a plain one at the end
     *
     * @throws BreakdownNotValid where there is no such pass, or no room for one more
     */
    public function add(Breakdown $breakdown, ?string $like = null): Breakdown
    {
        $id = FreeId::after('', $breakdown->passes);
        if ($like === null) {
            return $breakdown->with(passes: [...$breakdown->passes, new Pass($id)]);
        }
        $passes = [];
        foreach ($breakdown->passes as $pass) {
            $passes[] = $pass;
            if ($pass->id === $like) {
                $passes[] = new Pass($id, '', $pass->notes, $pass->cells, $pass->lead);
            }
        }
        if (count($passes) === count($breakdown->passes)) {
            throw new PassUnknown($like);
        }

        return $breakdown->with(
            sections: array_map(
                static fn (Section $section): Section => $section->with(endings: array_map(
                    static fn (Ending $ending): Ending => in_array($like, $ending->passes, true) ? $ending->in([...$ending->passes, $id]) : $ending,
                    $section->endings,
                )),
                $breakdown->sections,
            ),
            passes: $passes,
            played: array_map(
                static fn (PlacedFigure $each): PlacedFigure => in_array($like, $each->passes ?? [], true) ? $each->in([...$each->passes ?? [], $id]) : $each,
                $breakdown->played,
            ),
            placed: array_map(
                static fn (PlacedMove $each): PlacedMove => in_array($like, $each->passes ?? [], true)
                    ? $each->with(passes: [...$each->passes ?? [], $id])
                    : $each,
                $breakdown->placed,
            ),
        );
    }
}
