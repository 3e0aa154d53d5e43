<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** Something in a typed chord line that could not be read. The rest of the line is read all the same. */
final readonly class ChartProblem
{
    /**
     * @param int     $at      character of the line, from 0
     * @param int     $length  characters concerned, at least 1
     * @param int     $bar     from 0
     * @param ?string $nearest what would do in its place
     */
    public function __construct(
        public int $at,
        public int $length,
        public int $bar,
        public string $message,
        public ?string $nearest = null,
    ) {}
}
