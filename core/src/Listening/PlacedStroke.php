<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** A stroke that was heard, and the slot it belongs to. */
final readonly class PlacedStroke
{
    /**
     * @param float  $t       seconds
     * @param int    $bar     from 0; before bar 1 below 0
     * @param int    $slot    of the bar, from 0
     * @param float  $ms      off its slot, + late
     * @param ?float $levelDb against the median stroke, where known
     * @param ?bool  $muted   where known
     */
    public function __construct(public float $t, public int $bar, public int $slot, public float $ms, public ?float $levelDb, public ?bool $muted) {}
}
