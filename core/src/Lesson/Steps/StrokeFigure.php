<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Strokes\Stroke;

/** What one stroke of a stage's pattern is to be, in figures. */
final readonly class StrokeFigure
{
    /**
     * @param Stroke $stroke  at its tick of the pattern
     * @param int    $line    of the pattern, from 0
     * @param string $count   as it is counted: 2&
     * @param ?float $ringsMs how long it sounds; null where it is dead
     * @param ?float $share   of a beat
     * @param float  $levelDb against the median stroke
     */
    public function __construct(
        public Stroke $stroke,
        public int $line,
        public string $count,
        public ?float $ringsMs,
        public ?float $share,
        public float $levelDb,
    ) {}
}
