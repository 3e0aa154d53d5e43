<?php

declare(strict_types=1);

namespace Gravik\Time;

use Gravik\Time\Failure\TempoOutOfRange;

/** Beats a minute, the beat being the meter's. */
final readonly class Tempo
{
    public const SLOWEST = 20;

    public const FASTEST = 400;

    public function __construct(public float $bpm)
    {
        if (! ($bpm >= self::SLOWEST && $bpm <= self::FASTEST)) {
            throw new TempoOutOfRange($bpm);
        }
    }

    public function beatSeconds(): float
    {
        return 60 / $this->bpm;
    }
}
