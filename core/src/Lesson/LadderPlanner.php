<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Lesson\Failure\CycleOutOfRange;
use Gravik\Lesson\Failure\LadderGoesDown;
use Gravik\Lesson\Failure\MinutesOutOfRange;
use Gravik\Lesson\Failure\NoTimeForOneCycle;
use Gravik\Lesson\Failure\StepOutOfRange;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * Plans the way from a slow tempo to a goal within the minutes there are: tempo i of n is start · (goal/start)^(i/n),
 * rounded to whole beats a minute.
 */
final readonly class LadderPlanner
{
    /** per cent, where nobody says otherwise */
    public const USUAL_STEP = 5.0;

    private const SMALLEST_STEP = 3.0;

    private const LARGEST_STEP = 8.0;

    private const MOST_MINUTES = 120.0;

    private const MOST_BARS = 160;

    private const CYCLES_A_STEP = Ladder::CLIMBS_AFTER;

    /** A burst is this share of a long cycle. */
    private const BURST_SHARE = 4;

    /** More cycles than this are no ladder any more. */
    private const MOST_CYCLES = 400;

    /**
     * @param float $percent of a step, 3 to 8
     * @param int   $bars    in a cycle
     *
     * @throws LessonException
     */
    public function plan(
        Tempo $start,
        Tempo $goal,
        float $minutes,
        Meter $meter,
        LadderMode $mode = LadderMode::Gated,
        float $percent = 5.0,
        int $bars = 4,
    ): Ladder {
        match (true) {
            $goal->bpm < $start->bpm => throw new LadderGoesDown($start->bpm, $goal->bpm),
            ! ($minutes >= 1 && $minutes <= self::MOST_MINUTES) => throw new MinutesOutOfRange($minutes),
            ! ($percent >= self::SMALLEST_STEP && $percent <= self::LARGEST_STEP) => throw new StepOutOfRange($percent),
            $bars < 1 || $bars > self::MOST_BARS => throw new CycleOutOfRange($bars, self::MOST_BARS),
            default => null,
        };
        $ladder = match ($mode) {
            LadderMode::Gated => $this->gated($start->bpm, $goal->bpm, $minutes, $meter, $percent, $bars),
            LadderMode::Ramp => $this->ramp($start->bpm, $goal->bpm, $minutes, $meter, $bars),
            LadderMode::Bursts => $this->bursts($start->bpm, $goal->bpm, $minutes, $meter, $bars),
        };

        return $ladder ?? throw new NoTimeForOneCycle();
    }

    /**
     * Of the steps from the one asked for up to the largest, the smallest with which the goal is reached in time; else the highest
     * goal that is.
     */
    private function gated(float $start, float $goal, float $minutes, Meter $meter, float $percent, int $bars): ?Ladder
    {
        $most = self::stepsTo($start, $goal, $percent);
        $fewest = self::stepsTo($start, $goal, self::LARGEST_STEP);
        for ($count = $most; $count >= $fewest; $count--) {
            $ladder = $this->climbing($start, $goal, $count, $meter, $bars, self::CYCLES_A_STEP, LadderMode::Gated, true);
            if ($ladder->minutes() <= $minutes) {
                return self::filled($ladder, $minutes, $meter);
            }
        }
        for ($reached = (int) ceil($goal) - 1; $reached >= $start; $reached--) {
            $ladder = $this->climbing(
                $start,
                $reached,
                self::stepsTo($start, $reached, self::LARGEST_STEP),
                $meter,
                $bars,
                self::CYCLES_A_STEP,
                LadderMode::Gated,
                false,
            );
            if ($ladder->minutes() <= $minutes) {
                return $ladder;
            }
        }

        return null;
    }

    /** Cycles more while the minutes hold them: one a tempo, from the fastest down, and round again. */
    private static function filled(Ladder $ladder, float $minutes, Meter $meter): Ladder
    {
        $steps = $ladder->steps;
        $left = 60 * ($minutes - $ladder->minutes()) + 1e-9;
        $more = array_fill(0, count($steps), 0);
        for ($added = 0; $added < self::MOST_CYCLES; $added++) {
            $at = count($steps) - 1 - $added % count($steps);
            $left -= $steps[$at]->seconds / $steps[$at]->cycles;
            if ($left < 0) {
                break;
            }
            $more[$at]++;
        }

        return new Ladder($ladder->mode, array_map(
            static fn (LadderStep $step, int $more): LadderStep => LadderStep::of($meter, $step->bpm, $step->bars, $step->cycles + $more),
            $steps,
            $more,
        ), $ladder->goal, $ladder->fits);
    }

    /** As many cycles as the minutes hold; none rises by more than the largest step. */
    private function ramp(float $start, float $goal, float $minutes, Meter $meter, int $bars): ?Ladder
    {
        for ($reached = $goal; $reached >= $start; $reached = ceil($reached) - 1) {
            $best = null;
            for ($count = self::stepsTo($start, $reached, self::LARGEST_STEP); $count <= self::MOST_CYCLES; $count++) {
                $ladder = $this->climbing($start, $reached, $count, $meter, $bars, 1, LadderMode::Ramp, $reached === $goal);
                if ($ladder->minutes() > $minutes) {
                    break;
                }
                $best = $ladder;
            }
            if ($best !== null) {
                return $best;
            }
        }

        return null;
    }

    private function bursts(float $start, float $goal, float $minutes, Meter $meter, int $bars): ?Ladder
    {
        $long = LadderStep::of($meter, (int) round($start), $bars, 1);
        $short = LadderStep::of($meter, (int) round($goal), max(1, intdiv($bars, self::BURST_SHARE)), 1);
        $rounds = min(self::MOST_CYCLES, (int) floor(60 * $minutes / ($long->seconds + $short->seconds)));
        $steps = [];
        for ($round = 0; $round < $rounds; $round++) {
            array_push($steps, $long, $short);
        }

        return $steps === [] ? null : new Ladder(LadderMode::Bursts, $steps, (int) round($goal), true);
    }

    private function climbing(
        float $start,
        float $goal,
        int $count,
        Meter $meter,
        int $bars,
        int $cycles,
        LadderMode $mode,
        bool $fits,
    ): Ladder {
        $step = static fn (int $i): LadderStep => LadderStep::of(
            $meter,
            (int) round($count === 0 ? $goal : $start * ($goal / $start) ** ($i / $count)),
            $bars,
            $cycles,
        );

        return new Ladder($mode, array_map($step, range(0, $count)), (int) round($goal), $fits);
    }

    /** n = ⌈ln(goal/start) / ln(1 + step)⌉ */
    private static function stepsTo(float $start, float $goal, float $percent): int
    {
        return (int) ceil(log($goal / $start) / log(1 + $percent / 100) - 1e-9);
    }
}
