<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Neck\Voicing;
use Gravik\Strokes\Stroke;

/** A stroke of the pattern at one place of the form, in seconds. */
final readonly class PlayedStroke
{
    /**
     * @param int        $slot     of the pattern, from 0, on its own grid
     * @param int        $bar      of the form, from 0
     * @param int        $formTick straight ticks from bar 1
     * @param float      $t        seconds, the stroke's own and its part's placement included
     * @param int        $chord    which of the form's chords it sounds
     * @param list<int>  $strings  indexes into the voicing (0 = lowest string), in the order the pick meets them
     * @param list<float> $ends    seconds, one for each of $strings
     */
    public function __construct(
        public Stroke $stroke,
        public int $slot,
        public int $bar,
        public int $formTick,
        public float $t,
        public int $chord,
        public Voicing $voicing,
        public array $strings,
        public array $ends,
    ) {}

    /** The same stroke earlier or later, its length with it. */
    public function shifted(float $seconds): self
    {
        return new self($this->stroke, $this->slot, $this->bar, $this->formTick, $this->t + $seconds, $this->chord, $this->voicing, $this->strings, array_map(static fn (float $end): float => $end + $seconds, $this->ends));
    }
}
