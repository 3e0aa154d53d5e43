<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Time\Meter;

/** So many cycles at one tempo. */
final readonly class LadderStep
{
    public function __construct(public int $bpm, public int $bars, public int $cycles, public float $seconds) {}

    public static function of(Meter $meter, int $bpm, int $bars, int $cycles): self
    {
        return new self($bpm, $bars, $cycles, $cycles * $bars * $meter->beats() * 60 / $bpm);
    }
}
