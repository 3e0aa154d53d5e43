<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Neck\Grip\Voicing;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\Stroke;

/** A stroke of the pattern at one place of the form, in seconds. */
final readonly class PlayedStroke
{
    /**
     * @param int        $slot     on its pattern's own grid, from 0, counted through all patterns played
     * @param int        $bar      of the song, from 0
     * @param int        $tick     straight ticks from bar 1
     * @param float      $t        seconds, the stroke's own and its part's placement included
     * @param int        $chord    which of the course's chords it sounds
     * @param list<int>  $strings  indexes into the voicing (0 = lowest string), in the order the pick meets them
     * @param list<float> $ends    seconds, one for each of $strings
     * @param array<int, Ornament> $ornaments of single strings, by their place in $strings; the stroke's own for the rest
     * @param int        $line     of its pattern or figure, from 0
     * @param ?FigureTick $of      null for a stroke of the pattern
     * @param float      $gain     by how much the song's loudness there makes it louder, as a factor
     */
    public function __construct(
        public Stroke $stroke,
        public int $slot,
        public int $bar,
        public int $tick,
        public float $t,
        public int $chord,
        public Voicing $voicing,
        public array $strings,
        public array $ends,
        public float $gain = 1.0,
        public array $ornaments = [],
        public ?FigureTick $of = null,
        public int $line = 0,
    ) {}

    /** @param list<float> $ends seconds */
    public function ending(array $ends): self
    {
        return new self(
            $this->stroke,
            $this->slot,
            $this->bar,
            $this->tick,
            $this->t,
            $this->chord,
            $this->voicing,
            $this->strings,
            $ends,
            $this->gain,
            $this->ornaments,
            $this->of,
            $this->line,
        );
    }

    /** The same stroke earlier or later, its length with it. */
    public function shifted(float $seconds): self
    {
        return new self(
            $this->stroke,
            $this->slot,
            $this->bar,
            $this->tick,
            $this->t + $seconds,
            $this->chord,
            $this->voicing,
            $this->strings,
            array_map(static fn (float $end): float => $end + $seconds, $this->ends),
            $this->gain,
            $this->ornaments,
            $this->of,
            $this->line,
        );
    }
}
