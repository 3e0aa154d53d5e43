<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Seat;

/** How far a part hangs below the soloist. */
final readonly class Sounding
{
    /** @param array{float, float} $asked dB below: the least and the most */
    public function __construct(public BandPart $part, public float $belowDb, public array $asked) {}

    /** @return float dB below the soloist, as heard from there */
    public function belowFrom(Seat $seat): float
    {
        return $this->belowDb + $seat->gainDb(Instrument::Lead) - $seat->gainDb($this->part->instrument);
    }

    /** Whether it comps, and is too loud for it. */
    public function covers(): bool
    {
        return $this->part->instrument->isChordal() && $this->over() > 0;
    }

    /** @return float dB that it is too loud by; 0 where it is not */
    public function over(): float
    {
        return max(0.0, $this->asked[0] - $this->belowDb);
    }
}
