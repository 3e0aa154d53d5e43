<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Pass;

/** What names parts, where only some of them are left. */
final readonly class Parts
{
    /**
     * @param list<Cell>   $cells
     * @param list<string> $left  ids
     *
     * @return list<Cell>
     */
    public static function cells(array $cells, array $left): array
    {
        return array_values(array_filter($cells, static fn (Cell $cell): bool => in_array($cell->part, $left, true)));
    }

    /**
     * @param non-empty-list<Pass> $passes
     * @param list<string>         $left   ids
     *
     * @return non-empty-list<Pass>
     */
    public static function passes(array $passes, array $left): array
    {
        return array_map(static fn (Pass $pass): Pass => $pass->with(self::cells($pass->cells, $left)), $passes);
    }
}
