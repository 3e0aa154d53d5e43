<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Time\Meter;

/** A bar of the written song and where it stands. */
final readonly class FormBar
{
    /**
     * @param int $inSection bar of the section's line, or of the ending, from 0
     * @param int $number    as bars are numbered on paper, from 1: all endings of a section count on after its line
     */
    public function __construct(
        public string $section,
        public ?int $ending,
        public int $inSection,
        public int $number,
        public Bar $bar,
        public Meter $meter,
    ) {}
}
