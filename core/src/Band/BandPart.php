<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\GrooveMisplaced;
use Gravik\Band\Failure\PartOutOfRange;
use Gravik\Band\Failure\TimbreMisplaced;
use Gravik\Band\Failure\TuneMisplaced;
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
     * @param ?Timbre   $timbre   of keys; null for the usual one, and for all others
     * @param ?Tune     $tune     that a lead plays; null where somebody solos freely, and for all others
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
        public ?Timbre $timbre = null,
        public ?Tune $tune = null,
    ) {
        ($level >= 0 && $level <= 1 && abs($offsetMs) <= 100) || throw new PartOutOfRange();
        if ($instrument->playsAGroove() !== ($groove !== null)) {
            throw new GrooveMisplaced($instrument);
        }
        if ($way !== null && ! in_array($way, $instrument->ways(), true)) {
            throw new WayMisplaced($instrument, $way);
        }
        if ($timbre !== null && $instrument !== Instrument::Keys) {
            throw new TimbreMisplaced($instrument);
        }
        if ($tune !== null && $instrument !== Instrument::Lead) {
            throw new TuneMisplaced($instrument);
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
            $this->timbre,
            $this->tune,
        );
    }

    /** With another tune, or free to solo again. */
    public function playing(?Tune $tune): self
    {
        return new self(
            $this->id, $this->instrument, $this->level, $this->offsetMs, $this->straight, $this->groove, $this->register, $this->way,
            $this->timbre, $tune,
        );
    }

    /** As loud, as early or late and as straight as another. */
    public function placedLike(self $other): self
    {
        return new self(
            $this->id, $this->instrument, $other->level, $other->offsetMs, $other->straight, $this->groove, $this->register, $this->way,
            $this->timbre, $this->tune,
        );
    }

    public function register(): ?Register
    {
        return $this->register ?? $this->instrument->usualRegister();
    }

    /**
     * The register of a part that has one, for those who play it.
     *
     * @throws \LogicException for drums and for parts whose notes lie on a neck
     */
    public function ambit(): Register
    {
        return $this->register() ?? throw new \LogicException("A part of {$this->instrument->value} has no register.");
    }

    public function way(): ?Way
    {
        return $this->way ?? $this->instrument->ways()[0] ?? null;
    }
}
