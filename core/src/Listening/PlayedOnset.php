<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Strokes\Direction;

/** One stroke as it was played, tapped or heard. */
final readonly class PlayedOnset
{
    /**
     * @param float      $t         seconds from bar 1 beat 1
     * @param ?Direction $direction of the hand, where it is known
     * @param ?bool      $muted     whether it was dead, where it is known
     * @param ?float     $levelDb   against the median stroke; null for a tap
     * @param ?float     $seconds   how long it sounded; null for a tap
     * @param float      $plain     nepers by which it stood out of the sound, farther than a stroke must; a tap does without end. Below 0
     *                              it may be nothing: it meets a planned stroke, but is none too many
     */
    public function __construct(
        public float $t,
        public ?Direction $direction = null,
        public ?bool $muted = null,
        public ?float $levelDb = null,
        public ?float $seconds = null,
        public float $plain = INF,
    ) {}

    public function isSure(): bool
    {
        return $this->plain >= 0;
    }

    public function at(float $t): self
    {
        return new self($t, $this->direction, $this->muted, $this->levelDb, $this->seconds, $this->plain);
    }
}
