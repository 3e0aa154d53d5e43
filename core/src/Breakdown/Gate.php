<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\GateOutOfRange;

/** What a take must keep within to pass a stage of the lesson; the teacher may set each (the defaults are rules of thumb). */
final readonly class Gate
{
    /**
     * @param float $biasMs      either way, over 0 to 200
     * @param float $spreadMs    over 0 to 200
     * @param float $swingPoints of the beat's hundred, over 0 to 30
     * @param float $missedShare 0–1
     */
    public function __construct(
        public float $biasMs = 15.0,
        public float $spreadMs = 20.0,
        public float $swingPoints = 4.0,
        public float $missedShare = 0.03,
    ) {
        match (true) {
            ! ($biasMs > 0 && $biasMs <= 200) => throw new GateOutOfRange('bias', 'over 0 to 200 ms'),
            ! ($spreadMs > 0 && $spreadMs <= 200) => throw new GateOutOfRange('spread', 'over 0 to 200 ms'),
            ! ($swingPoints > 0 && $swingPoints <= 30) => throw new GateOutOfRange('swing', 'over 0 to 30 points of the beat'),
            ! ($missedShare >= 0 && $missedShare <= 1) => throw new GateOutOfRange('share of missed strokes', '0 to 1'),
            default => null,
        };
    }

    /** Whether a stroke so far off its place, either way, would not do if all were like it. */
    public function isFarOff(float $ms): bool
    {
        return abs($ms) >= $this->biasMs;
    }

    public static function advanced(): self
    {
        return new self(spreadMs: 12.0);
    }
}
