<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\RegisterOutOfRange;

/** The notes between which a part plays. */
final readonly class Register
{
    public const NARROWEST = 12;

    public const LOWEST = 21;

    public const HIGHEST = 108;

    /**
     * @param int $low  MIDI note
     * @param int $high an octave above it at least
     */
    public function __construct(public int $low, public int $high)
    {
        if ($low < self::LOWEST || $high > self::HIGHEST || $high - $low < self::NARROWEST) {
            throw new RegisterOutOfRange($low, $high);
        }
    }

    public function middle(): float
    {
        return ($this->low + $this->high) / 2;
    }

    /**
     * How far notes are from the octave in which they lie nearest to its middle.
     *
     * @param list<int> $pitches MIDI numbers
     *
     * @return int semitones, whole octaves; 0 where there are no notes
     */
    public function octavesFrom(array $pitches): int
    {
        return $pitches === [] ? 0 : 12 * (int) floor(($this->middle() - (min($pitches) + max($pitches)) / 2) / 12 + 0.5);
    }

    public function raised(int $semitones): self
    {
        return new self($this->low + $semitones, $this->high + $semitones);
    }

    /** @return list<int> every note of these pitch classes, from the lowest */
    public function notesOf(int ...$pitchClasses): array
    {
        return array_values(array_filter(
            range($this->low, $this->high),
            static fn (int $midi): bool => in_array($midi % 12, $pitchClasses, true),
        ));
    }
}
