<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;

/** A capo at a fret, and what the chords of a tune are called by their shapes there. */
final readonly class CapoChoice
{
    /**
     * @param Key               $shapeKey  whose open grips are used
     * @param list<ChordSymbol> $shapes    one for each chord that was asked about
     * @param int               $openGrips how many of them become open grips for the hand
     */
    public function __construct(public int $capo, public Key $shapeKey, public array $shapes, public int $openGrips) {}
}
