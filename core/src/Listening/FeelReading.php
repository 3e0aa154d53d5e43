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
        public array $strokes,
        public array $barTempos,
        public array $slots,
    ) {}
}
