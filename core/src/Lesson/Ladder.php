<?php

declare(strict_types=1);

namespace Gravik\Lesson;

/** A schedule of tempos. */
final readonly class Ladder
{
    private const RAISED = 1.05;

    /** So many clean cycles in a row climb, so many that are not drop a step. */
    public const CLIMBS_AFTER = 2;

    /**
     * @param non-empty-list<LadderStep> $steps
     * @param int                        $goal  beats a minute that is reached: the one asked for, or what the minutes allow
     * @param bool                       $fits  whether the goal asked for is reached
     */
    public function __construct(public LadderMode $mode, public array $steps, public int $goal, public bool $fits) {}

    public function minutes(): float
    {
        return array_sum(array_map(static fn (LadderStep $step): float => $step->seconds, $this->steps)) / 60;
    }

    /** Cycles that were put in beyond two a tempo, to use the minutes. */
    public function added(): int
    {
        return $this->mode === LadderMode::Gated
            ? array_sum(array_map(static fn (LadderStep $step): int => $step->cycles - self::CLIMBS_AFTER, $this->steps))
            : 0;
    }

    /**
     * Start and goal for the next time, when this one has become easy: both a step higher.
     *
     * @return array{int, int} beats a minute
     */
    public function raised(): array
    {
        return [(int) round($this->steps[0]->bpm * self::RAISED), (int) round($this->goal * self::RAISED)];
    }

    /**
     * Where a player stands who has played cycles, clean or not, from the first step on. On a gated ladder two clean ones
     * in a row climb, once the cycles planned there are played, and two that are not drop one step, never below the first;
     * on the others every cycle is followed by the next.
     *
     * @param list<bool> $clean  in order
     * @param bool       $climbs false on a day on which the hand hurts: then nobody climbs
     *
     * @return int index of the step
     */
    public function stepAfter(array $clean, bool $climbs = true): int
    {
        if ($this->mode !== LadderMode::Gated) {
            return $climbs ? min(count($this->steps) - 1, count($clean)) : 0;
        }
        $step = $inARow = $here = 0;
        $last = null;
        foreach ($clean as $cycle) {
            $here++;
            $inARow = $cycle === $last ? $inARow + 1 : 1;
            $last = $cycle;
            if ($inARow >= self::CLIMBS_AFTER && (! $cycle || $here >= $this->steps[$step]->cycles)) {
                $step = $cycle ? min(count($this->steps) - 1, $step + ($climbs ? 1 : 0)) : max(0, $step - 1);
                $here = 0;
                $last = null;
            }
        }

        return $step;
    }
}
