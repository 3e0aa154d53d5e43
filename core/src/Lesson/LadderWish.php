<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Lesson\Failure\LadderGoesDown;
use Gravik\Lesson\Failure\LadderWishOutOfRange;

/** What is wanted of a ladder; what is null is as usual. */
final readonly class LadderWish
{
    /**
     * @param ?int        $start   beats a minute, 20 to 400
     * @param ?int        $goal    beats a minute, 20 to 400
     * @param ?int        $minutes 1 to 120
     * @param ?float      $percent of a step, 3 to 8
     * @param ?int        $bars    in a cycle, 1 to 160
     */
    public function __construct(
        public ?int $start = null,
        public ?int $goal = null,
        public ?int $minutes = null,
        public ?float $percent = null,
        public ?LadderMode $mode = null,
        public ?int $bars = null,
    ) {
        foreach (['start' => [20, 400], 'goal' => [20, 400], 'minutes' => [1, 120], 'percent' => [3, 8], 'bars' => [1, 160]] as $field => $range) {
            if ($this->{$field} !== null && ($this->{$field} < $range[0] || $this->{$field} > $range[1])) {
                throw new LadderWishOutOfRange($field, ...$range);
            }
        }
        if ($start !== null && $goal !== null && $goal < $start) {
            throw new LadderGoesDown($start, $goal);
        }
    }

    public function isEmpty(): bool
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== null) === [];
    }
}
