<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Grip\Voicing;

/** I, IV and V of a key held in grips of one or two families, and what going I–IV–V–I costs the hand. */
final readonly class FamilyRoute
{
    /**
     * @param string         $way       'one shape moved', or the families it changes between
     * @param list<Voicing>  $grips     of I, IV and V
     * @param int            $frets     travelled by the first finger, I to IV to V and back
     * @param float          $travelMm  the same way in mm along the neck
     */
    public function __construct(public string $way, public array $grips, public int $frets, public float $travelMm) {}
}
