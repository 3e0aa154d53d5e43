<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\GrooveMisplaced;
use Gravik\Band\Failure\PartOutOfRange;
use Gravik\Band\Failure\WayMisplaced;

/** One part of the band: how loud it is, where it sits against the beat, and whether it leaves the swing to the others. */
final readonly class BandPart
{
    /**
     * @param float     $level    0 to 1
     * @param float     $offsetMs + laid back, − ahead
     * @param ?Groove   $groove   that drums and bass play; null for those who play no groove
     * @param ?Register $register null for the instrument's usual one
     * @param ?Way      $way      null for the instrument's usual one
     */
    public function __construct(
        public string $id,
        public Instrument $instrument,
        public float $level = 0.8,
        public float $offsetMs = 0.0,
        public bool $straight = false,
        public ?Groove $groove = null,
        public ?Register $register = null,
        public ?Way $way = null,
    ) {
        ($level >= 0 && $level <= 1 && abs($offsetMs) <= 100) || throw new PartOutOfRange();
        if ($instrument->playsAGroove() !== ($groove !== null)) {
            throw new GrooveMisplaced($instrument);
        }
        if ($way !== null && ! in_array($way, $instrument->ways(), true)) {
            throw new WayMisplaced($instrument, $way);
        }
    }

    public function with(?float $level = null, ?Groove $groove = null, ?Register $register = null, ?Way $way = null): self
    {
        return new self(
            $this->id,
            $this->instrument,
            $level ?? $this->level,
            $this->offsetMs,
            $this->straight,
            $groove ?? $this->groove,
            $register ?? $this->register,
            $way ?? $this->way,
        );
    }

    /** As loud, as early or late and as straight as another. */
    public function placedLike(self $other): self
    {
        return new self(
            $this->id,
            $this->instrument,
            $other->level,
            $other->offsetMs,
            $other->straight,
            $this->groove,
            $this->register,
            $this->way,
        );
    }

    public function register(): ?Register
    {
        return $this->register ?? $this->instrument->usualRegister();
    }

    public function way(): ?Way
    {
        return $this->way ?? $this->instrument->ways()[0] ?? null;
    }
}
