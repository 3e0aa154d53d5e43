<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Internal\Deviations;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\Matcher;
use Gravik\Listening\Lock\Plan;
use Gravik\Listening\Lock\PlannedOnset;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Timeline;

/**
 * Recognises a take that was played at another tempo, or of another breakdown: then its figures say little about how
 * the part sits.
 *
 * @internal used by LockReporter
 */
final readonly class OtherTake
{
    /** Another tempo by more than this share is not a drift any more. */
    private const OTHER_TEMPO = 0.03;

    /** A take that misses no more than this, as a share of those it meets, is a take of this plan. */
    private const UNMET = 0.4;

    /** At half or double the tempo, so many of the strokes, and of the plan's, meet. */
    private const FITS = 0.85;

    private const PACES = ['half' => 0.5, 'double' => 2.0];

    public function __construct(private Timeline $timeline, private Matcher $matcher) {}

    /** @param int $missed strokes that were missed before the last one met: who stopped early played this plan all the same */
    public function finding(LockReport $report, ?Deviations $deviations, Take $take, int $missed): ?Finding
    {
        $asked = $this->timeline->map->first()->tempo->bpm;
        $unmet = $missed + $report->extra;
        if ($unmet <= self::UNMET * $report->matched) {
            // Followed stroke by stroke: who is later and later by 50 ms a second keeps 5 % less.
            $kept = $asked / (1 + ($deviations->lineSlope ?? 0.0) / 1000);

            return $deviations !== null && $deviations->isLine && abs($kept / $asked - 1) > self::OTHER_TEMPO
                ? $this->another($kept, $report)
                : null;
        }
        if (count($take->sure()) < 2 * FeelMeter::FEWEST) {
            return null;
        }
        $pace = $this->pace($take);
        if ($pace !== null) {
            return new Finding(
                FindingKind::Tempo,
                [],
                sprintf(
                    'This take plays the part at %s the tempo: about %d beats a minute where %d were asked. Set the tempo to what you play, or count with the click.',
                    $pace,
                    (int) round($asked * self::PACES[$pace]),
                    (int) round($asked),
                ),
            );
        }
        // By their times alone: a plan may have up strokes on the beat.
        $times = array_map(static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset($tap->t), $take->sure());
        $kept = (new FeelMeter())->measure($times, $this->timeline->map->first()->meter)->tempoBpm;
        // Half and double may be the same tempo, counted otherwise.
        $apart = min(array_map(static fn (float $times): float => abs($times * $kept / $asked - 1), [0.5, 1.0, 2.0]));
        if ($apart > self::OTHER_TEMPO) {
            return $this->another($kept, $report);
        }

        return $unmet > $report->matched
            ? new Finding(
                FindingKind::Other,
                [],
                sprintf(
                    'Most of this take is not this part: %d of %d strokes met the plan. Is it a take of another breakdown?',
                    $report->matched,
                    $report->played,
                ),
            )
            : null;
    }

    private function another(float $kept, LockReport $report): Finding
    {
        return new Finding(FindingKind::Tempo, [], sprintf('This take keeps %d beats a minute, and %d were asked: %d of %d strokes met the plan. Play along to the click, or set the tempo to what you play.',
            (int) round($kept), (int) round($this->timeline->map->first()->tempo->bpm), $report->matched, $report->played));
    }

    /** @return 'half'|'double'|null at which the strokes would meet the plan */
    private function pace(Take $take): ?string
    {
        foreach (self::PACES as $pace => $times) {
            $played = array_map(static fn (PlayedOnset $tap): float => $times * $tap->t, $take->sure());
            $plan = Plan::of($this->timeline, max([0.0, ...$played]));
            $planned = array_map(static fn (PlannedOnset $onset): float => $onset->t, $plan->onsets);
            $until = max([0.0, ...$played]) + $plan->smallestGap() / 2;
            $due = count(array_filter($planned, static fn (float $t): bool => $t <= $until));
            $met = count($this->matcher->match($planned, $played, $plan->smallestGap(), $plan->ruler()->tempo->beatSeconds())->pairs);
            if ($met >= self::FITS * max(count($played), $due)) {
                return $pace;
            }
        }

        return null;
    }
}
