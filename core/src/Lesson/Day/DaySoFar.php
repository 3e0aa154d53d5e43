<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

/**
 * A day planned up to a point, linked to what it was before.
 *
 * @internal used by DayPlanner
 */
final readonly class DaySoFar
{
    /** @param list<DayItem> $added */
    public function __construct(public float $worth, private ?self $before = null, private array $added = []) {}

    /** @return list<DayItem> */
    public function items(): array
    {
        $items = $this->added;
        for ($so = $this->before; $so !== null; $so = $so->before) {
            array_unshift($items, ...$so->added);
        }

        return $items;
    }
}
