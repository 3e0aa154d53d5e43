<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords;

use Gravik\Harmony\ChordSymbol;

/** A chord as it was heard, from one change to the next within a bar. */
final readonly class HeardChord
{
    /** From here on it may be taken as it is; below, it is marked unsure. */
    private const SURE = 0.7;

    /**
     * @param int               $bar    from 0
     * @param list<array{float, float}> $spans seconds from and until which it sounds, several where the bar comes several times
     * @param float             $chance that root, third and seventh are these, 0 to 1
     * @param list<ChordSymbol> $others that it may be as well, the likeliest first
     * @param ?int              $bass   pitch class of the lowest note heard; null where none stands out
     * @param int               $part   of the bar with which it begins, from 0
     */
    public function __construct(
        public int $bar,
        public array $spans,
        public ChordSymbol $chord,
        public float $chance,
        public array $others,
        public ?int $bass,
        public int $part = 0,
    ) {}

    /**
     * With the lowest note of all of it.
     *
     * @param ?int $bass    pitch class
     * @param bool $isNamed whether it stands in the symbol where it is not the root
     */
    public function over(?int $bass, bool $isNamed): self
    {
        $chord = $isNamed && $bass !== null && $bass !== $this->chord->rootPitchClass()
            ? $this->chord->onRoot($this->chord->root, $this->chord->spell($bass))
            : $this->chord;

        return new self($this->bar, $this->spans, $chord, $this->chance, $this->others, $bass, $this->part);
    }

    public function isSure(): bool
    {
        return $this->chance >= self::SURE;
    }
}
