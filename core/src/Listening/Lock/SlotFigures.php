<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\Interval;

/** How one slot of the pattern was played over the whole take. */
final readonly class SlotFigures
{
    /**
     * @param string $name     as it is counted: "2&"
     * @param bool   $offBeat  whether it is the second note of a pair
     * @param ?float $biasMs   null where nothing was matched
     * @param ?float $levelDb     median against the take's median stroke; null for taps
     * @param ?float $lengthShare median of how long it rang against the plan; null for taps and dead strokes
     * @param ?Interval $bias     within what the bias lies, 95 %
     * @param ?float $mutedOk     share of its strokes that were dead or rang as planned; null for taps
     */
    public function __construct(
        public int $slot,
        public string $name,
        public bool $offBeat,
        public int $n,
        public ?float $biasMs,
        public ?float $spreadMs,
        public int $missed,
        public int $extra,
        public ?float $levelDb = null,
        public ?float $lengthShare = null,
        public ?float $mutedOk = null,
        public ?Interval $bias = null,
    ) {}
}
