<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\GrooveMisplaced;
use Gravik\Band\Failure\PartOutOfRange;

/** One part of the band: how loud it is, where it sits against the beat, and whether it leaves the swing to the others. */
final readonly class BandPart
{
    /**
     * @param float   $level    0 to 1
     * @param float   $offsetMs + laid back, − ahead
     * @param ?Groove $groove   that drums and bass play; null for those who play no groove
     */
    public function __construct(
        public string $id,
        public Instrument $instrument,
        public float $level = 0.8,
        public float $offsetMs = 0.0,
        public bool $straight = false,
        public ?Groove $groove = null,
    ) {
        ($level >= 0 && $level <= 1 && abs($offsetMs) <= 100) || throw new PartOutOfRange();
        if ($instrument->playsAGroove() !== ($groove !== null)) {
            throw new GrooveMisplaced($instrument);
        }
    }

    public function playing(Groove $groove): self
    {
        return new self($this->id, $this->instrument, $this->level, $this->offsetMs, $this->straight, $groove);
    }
}
