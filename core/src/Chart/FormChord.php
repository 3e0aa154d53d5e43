<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;

/** A chord of the written song and where it lies. */
final readonly class FormChord
{
    /**
     * @param int $bar   of the written song, from 0, all sections and endings counted through
     * @param int $ticks how long it lasts within its bar
     */
    public function __construct(public Place $at, public int $bar, public int $ticks, public ChordSymbol $chord) {}
}
