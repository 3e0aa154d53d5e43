<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

/** What happens at one slot of the bar over the whole recording. */
final readonly class SlotHeard
{
    /**
     * @param string $name    as it is counted: "2&"
     * @param float  $share   of the bars in which it is played, 0–1
     * @param ?float $levelDb median against the median stroke; null for taps
     * @param float  $dead    share of its strokes that are dead, 0–1
     * @param float  $pushed  share of the bars in which it takes the place of the beat after it, 0–1
     * @param float  $ms      median distance from the slot, + late
     */
    public function __construct(
        public int $slot,
        public string $name,
        public float $share,
        public ?float $levelDb,
        public float $dead,
        public float $pushed,
        public float $ms,
    ) {}
}
