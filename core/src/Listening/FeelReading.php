<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;

/** The feel of a recording or of taps, without any plan. ms: + late, − early. */
final readonly class FeelReading
{
    /**
     * @param float               $tempoBpm beats of the meter a minute, on average
     * @param int                 $grid     slots a beat that the strokes need
     * @param ?SwingUnit          $unit     what may lean on this grid
     * @param ?SwingHeard         $swing    null where the strokes make no pairs
     * @param ?float              $biasMs   against the given tempo and first beat; null without them
     * @param float               $firstBeat seconds of the first beat of bar 1
     * @param non-empty-list<float> $places   where the slots lie in the beat, leaning as they were played
     * @param list<float>         $beats    seconds of every beat, from bar 1 to one after the last stroke
     * @param list<PlacedStroke>  $strokes  in order of time
     * @param list<float>         $barTempos beats a minute in each bar, from bar 1
     * @param list<SlotHeard>     $slots    of a bar, in order
     */
    public function __construct(
        public Meter $meter,
        public float $tempoBpm,
        public int $grid,
        public ?SwingUnit $unit,
        public ?SwingHeard $swing,
        public ?float $biasMs,
        public float $spreadMs,
        public float $driftBpmPerMin,
        public float $firstBeat,
        public array $places,
        public array $beats,
        public array $strokes,
        public array $barTempos,
        public array $slots,
    ) {}

    /** How the strokes scatter about their slots, ms, when the beat is followed as it drifts. */
    public function scatterMs(): float
    {
        return $this->strokes === [] ? 0.0 : Statistics::spread(array_map(static fn (PlacedStroke $stroke): float => $stroke->ms, $this->strokes));
    }
}
