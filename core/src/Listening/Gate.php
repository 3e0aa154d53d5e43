<?php

declare(strict_types=1);

namespace Gravik\Listening;

/** What a take must keep within to pass; the teacher may set each (the defaults are rules of thumb). */
final readonly class Gate
{
    /**
     * @param float $swingPoints of the beat's hundred
     * @param float $missedShare 0–1
     */
    public function __construct(
        public float $biasMs = 15.0,
        public float $spreadMs = 20.0,
        public float $swingPoints = 4.0,
        public float $missedShare = 0.03,
    ) {}

    public static function advanced(): self
    {
        return new self(spreadMs: 12.0);
    }
}
