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
        return self::ofBars($timeline, (int) floor(max(0.0, $until) / $timeline->ruler->seconds($timeline->ruler->meter->beats())) + 2);
    }

    /** The first so many bars of the form, repeated where there are more than it has. */
    public static function ofBars(Timeline $timeline, int $bars): self
    {
        $strokes = $timeline->strokes;
        if ($strokes === []) {
            throw ListeningException::nothingPlanned();
        }
        $formBars = count($timeline->voiced->form->bars);
        $formTicks = $timeline->voiced->form->ticks();
        $onsets = [];
        for ($round = 0; $round * $formBars < $bars; $round++) {
            foreach ($strokes as $stroke) {
                $onset = self::onset($stroke, $round, $timeline->seconds, $formBars, $formTicks);
                $before = $onsets[count($onsets) - 1] ?? null;
                if ($onset->bar < $bars && ($before === null || $onset->t - $before->t > self::ONE_ONSET_SECONDS)) {
                    $onsets[] = $onset;
                }
            }
        }
        $pattern = $timeline->hand->pattern;

        return $onsets === []
            ? throw ListeningException::nothingPlanned()
            : new self($onsets, $timeline->ruler, $pattern->slotTicks(), intdiv($pattern->ticks, $pattern->slotTicks()));
    }

    public function barSeconds(): float
    {
        return $this->ruler->seconds($this->ruler->meter->beats());
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
            array_values(array_filter(array_map(static fn (int $string): ?int => $stroke->voicing->midi[$string], $stroke->strings), static fn (?int $pitch): bool => $pitch !== null)),
        );
    }
}
