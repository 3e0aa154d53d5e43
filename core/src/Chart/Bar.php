<?php

declare(strict_types=1);

namespace Gravik\Chart;

final readonly class Bar
{
    /** @param non-empty-list<ChordAt> $chords in order; together they fill the bar */
    public function __construct(public array $chords, public bool $repeated = false) {}
}
