<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;

/** A chord of the song as it is played. */
final readonly class CourseChord
{
    /** @param int $written index of the written form's chord that it is */
    public function __construct(public int $written, public int $visit, public int $tick, public int $ticks, public ChordSymbol $chord) {}
}
