<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** A stroke that was matched: where it belongs and how far off it came. */
final readonly class Hit
{
    /**
     * @param float  $t           seconds where it was planned
     * @param ?bool  $directionRight whether the hand went as planned; null where that is not known
     * @param ?bool  $mutedRight  whether it was dead or rang as planned; null where that is not known
     * @param ?float $levelDb     against the median stroke; null for a tap
     * @param ?float $lengthShare how long it rang against the plan; null for a tap and for a dead stroke
     * @param ?float $over        seconds by which it rang longer than planned; null for the same
     * @param bool   $sure        false for one that hardly stood out of what rang on
     */
    public function __construct(
        public int $slot,
        public int $bar,
        public float $t,
        public float $ms,
        public ?bool $directionRight = null,
        public ?bool $mutedRight = null,
        public ?float $levelDb = null,
        public ?float $lengthShare = null,
        public ?float $over = null,
        public bool $sure = true,
    ) {}
}
