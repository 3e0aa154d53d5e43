<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Listening\Statistics;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Swing;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

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

    /**
     * The strokes of some bars alone, as if these followed one another.
     *
     * @param list<int> $bars from 0
     */
    public function of(array $bars): self
    {
        $places = array_flip($bars);
        $strokes = [];
        foreach ($this->strokes as $stroke) {
            if (isset($places[$stroke->bar])) {
                $strokes[] = $stroke->inBar($places[$stroke->bar]);
            }
        }

        return new self(
            $this->meter, $this->tempoBpm, $this->grid, $this->unit, $this->swing, $this->biasMs, $this->spreadMs, $this->driftBpmPerMin,
            $this->firstBeat, $this->places, $this->beats, $strokes, $this->barTempos, $this->slots,
        );
    }

    /** As a breakdown would write it: whole beats a minute. */
    public function tempo(): Tempo
    {
        return new Tempo(max((float) Tempo::SLOWEST, min((float) Tempo::FASTEST, round($this->tempoBpm))));
    }

    /** As a breakdown would write it; null where the strokes make no pairs. */
    public function feel(): ?Feel
    {
        if ($this->swing === null) {
            return null;
        }
        $ratio = $this->swing->isStraight() ? 1.0 : round(max(Feel::LOWEST, min(Feel::HIGHEST, $this->swing->ratio)), 2);

        return Feel::fixed($ratio, $this->unit ?? SwingUnit::Eighth);
    }

    /** As the slots lie in the beat, where the strokes make no pairs; null where no slot leans. */
    public function leaning(): ?Feel
    {
        return $this->unit === null || $this->grid % 2 === 1
            ? null
            : Feel::fixed(
                round(max(Feel::LOWEST, min(Feel::HIGHEST, Swing::ratio($this->places[1] * $this->grid / 2))), 2),
                $this->unit,
            );
    }

    /** @return list<?Direction> which way an arm that rocks through every slot goes, over one bar */
    public function arm(): array
    {
        $slotTicks = intdiv($this->meter->beatTicks(), $this->grid);
        $strokes = array_map(
            fn (int $slot): Stroke => new Stroke($slot * $slotTicks, $this->grid),
            range(0, $this->meter->beats() * $this->grid - 1),
        );
        $pattern = new Pattern($this->meter, $this->meter->barTicks(), [new Stream('arm', $strokes)]);
        $ruler = new Ruler($this->meter, $this->tempo(), Feel::straight());
        $hand = (new HandPlanner())->plan($pattern, School::Pendulum, $ruler, Feel::straight());

        return array_map(static fn (Stroke $stroke): ?Direction => $stroke->direction, $hand->pattern->streams[0]->strokes);
    }

    /** How the strokes scatter about their slots, ms, when the beat is followed as it drifts. */
    public function scatterMs(): float
    {
        return $this->strokes === []
            ? 0.0
            : Statistics::spread(array_map(static fn (PlacedStroke $stroke): float => $stroke->ms, $this->strokes));
    }
}
