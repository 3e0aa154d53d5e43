<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\PlayedOnset;
use Gravik\Strokes\Direction;

/** One strum as it was heard. */
final readonly class HeardStroke
{
    /**
     * @param float $t       seconds into the recording: the audible start of its first string
     * @param float $levelDb against the median stroke of the recording
     * @param float $seconds until it has ended, about 20 dB below its peak, at the latest until the next stroke
     * @param bool  $muted   a dead stroke, without pitch
     * @param ?Direction $direction which way it went through the strings; null where that cannot be told
     * @param float $plain   nepers by which it stands out of what rings on, farther than a stroke must; below 0 it may be nothing
     */
    public function __construct(
        public float $t,
        public float $levelDb,
        public float $seconds,
        public bool $muted,
        public ?Direction $direction = null,
        public float $plain = INF,
    ) {}

    public function isSure(): bool
    {
        return $this->plain >= 0;
    }

    public function asOnset(): PlayedOnset
    {
        return new PlayedOnset($this->t, $this->direction, $this->muted, $this->levelDb, $this->seconds, $this->plain);
    }
}
