<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Harmony\ChordSymbol;

/** A melody note with the note below it, and where the two are played. */
final readonly class HarmonisedNote
{
    /**
     * @param array{int, int} $strings numbers, the lower-sounding first
     * @param array{int, int} $frets   in the same order
     * @param array{int, int} $midi
     * @param bool            $chordTone whether the lower note belongs to the chord; else to the scale
     * @param bool            $held    whether the lower note rings on from the note before, on its string
     * @param bool            $shared  whether the lower note stays for the next
     */
    public function __construct(
        public ChordSymbol $chord,
        public array $strings,
        public array $frets,
        public array $midi,
        public bool $chordTone,
        public bool $held,
        public bool $shared,
    ) {}

    /** @return array{string, string} degrees of both notes in the chord of the moment */
    public function degrees(): array
    {
        return [$this->chord->degreeOf($this->midi[0] % 12)->label(), $this->chord->degreeOf($this->midi[1] % 12)->label()];
    }
}
