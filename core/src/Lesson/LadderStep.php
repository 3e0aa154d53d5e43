<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Time\Meter;

/** So many cycles at one tempo. */
final readonly class LadderStep
{
    /** Beats a minute from which a pulse on every beat is too fast to move with. */
    private const FOURS_FROM = 160;

    private const EIGHTS_FROM = 240;

    public function __construct(public int $bpm, public int $bars, public int $cycles, public float $seconds) {}

    /** Beats that one swing of the shown pulse takes. */
    public function pulseBeats(): int
    {
        return $this->bpm >= self::EIGHTS_FROM ? 8 : ($this->bpm >= self::FOURS_FROM ? 4 : 1);
    }

    public static function of(Meter $meter, int $bpm, int $bars, int $cycles): self
    {
        return new self($bpm, $bars, $cycles, $cycles * $bars * $meter->beats() * 60 / $bpm);
    }
}
