<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Time\Ruler;

/** What a take is held against: the guitar's onsets, as far as the take goes. */
final readonly class Plan
{
    /** Planned strokes closer together than this are heard as one. */
    private const ONE_ONSET_SECONDS = 0.02;

    /**
     * @param non-empty-list<PlannedOnset> $onsets    in order of time
     * @param int                          $slotTicks ticks of a slot of the pattern
     * @param int                          $slots     in the pattern
     */
    private function __construct(public array $onsets, public Ruler $ruler, public int $slotTicks, public int $slots) {}

    /**
     * The form, repeated while the take goes on and one bar longer, since a stroke may come just before its bar line.
     *
     * @param float $until seconds of the last stroke played
     */
    public static function of(Timeline $timeline, float $until): self
    {
        $strokes = $timeline->strokes;
        if ($strokes === []) {
            throw ListeningException::nothingPlanned();
        }
        $meter = $timeline->ruler->meter;
        $barSeconds = $timeline->ruler->seconds($meter->beats());
        $lastBar = (int) floor(max(0.0, $until) / $barSeconds) + 1;
        $formBars = count($timeline->voiced->form->bars);
        $formTicks = $timeline->voiced->form->ticks();
        $onsets = [];
        for ($round = 0; $round * $formBars <= $lastBar; $round++) {
            foreach ($strokes as $stroke) {
                $onset = self::onset($stroke, $round, $timeline->seconds, $formBars, $formTicks);
                $before = $onsets[count($onsets) - 1] ?? null;
                if ($onset->bar <= $lastBar && ($before === null || $onset->t - $before->t > self::ONE_ONSET_SECONDS)) {
                    $onsets[] = $onset;
                }
            }
        }
        $pattern = $timeline->hand->pattern;

        return $onsets === []
            ? throw ListeningException::nothingPlanned()
            : new self($onsets, $timeline->ruler, $pattern->slotTicks(), intdiv($pattern->ticks, $pattern->slotTicks()));
    }

    /** Seconds between the two closest onsets; a beat where there is only one. */
    public function smallestGap(): float
    {
        $gap = $this->ruler->tempo->beatSeconds();
        foreach (array_slice($this->onsets, 1) as $place => $onset) {
            $gap = min($gap, $onset->t - $this->onsets[$place]->t);
        }

        return $gap;
    }

    private static function onset(PlayedStroke $stroke, int $round, float $formSeconds, int $formBars, int $formTicks): PlannedOnset
    {
        return new PlannedOnset(
            $stroke->t + $round * $formSeconds,
            $stroke->slot,
            $stroke->bar + $round * $formBars,
            $stroke->formTick + $round * $formTicks,
            $stroke->stroke->direction,
            $stroke->stroke->isDead(),
            max([$stroke->t + 0.01, ...$stroke->ends]) - $stroke->t,
        );
    }
}
