<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Failure\WeightOutOfRange;
use Gravik\Neck\NeckException;

/** What a change between two grips costs, part by part (rules of thumb; the teacher may move them). */
final readonly class PathWeights
{
    private const HEAVIEST = 20.0;

    /**
     * @param float $shift      for 100 mm of hand travel
     * @param float $fingers    for each finger that must be lifted and put elsewhere; one that slides on its string costs a third
     * @param float $top        for each semitone the top voice moves
     * @param float $rank       for each point of the grip's own rank: its difficulty and what else speaks against it
     *
     * @throws NeckException where a weight is negative or beyond all measure
     */
    public function __construct(
        public float $shift = 2.0,
        public float $fingers = 0.3,
        public float $top = 0.15,
        public float $rank = 1.0,
    ) {
        foreach ([$shift, $fingers, $top, $rank] as $weight) {
            ($weight >= 0 && $weight <= self::HEAVIEST) || throw new WeightOutOfRange($weight, self::HEAVIEST);
        }
    }
}
