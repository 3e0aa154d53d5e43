<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;

/** A chord of the form and where it lies: section, bar within the section, ticks from the bar line and from bar 1. */
final readonly class FormChord
{
    public function __construct(
        public int $section,
        public int $bar,
        public int $at,
        public int $formTicks,
        public int $ticks,
        public ChordSymbol $chord,
    ) {}
}
