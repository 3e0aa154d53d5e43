<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** What a typed chord line says. */
final readonly class ChartReading
{
    /**
     * @param list<Bar>          $bars
     * @param list<ChartProblem> $problems in order of the line; empty when all of it was read
     */
    public function __construct(public array $bars, public array $problems) {}
}
