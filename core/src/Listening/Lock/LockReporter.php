<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Breakdown\Gate;
use Gravik\Listening\Failure\DelayOutOfRange;
use Gravik\Listening\Hit;
use Gravik\Listening\Internal\Deviations;
use Gravik\Listening\Internal\Drift;
use Gravik\Listening\Interval;
use Gravik\Listening\Lock\Internal\AskedBars;
use Gravik\Listening\Lock\Internal\FaintStrokes;
use Gravik\Listening\Lock\Internal\Findings;
use Gravik\Listening\Lock\Internal\Hits;
use Gravik\Listening\Lock\Internal\OtherTake;
use Gravik\Listening\Lock\Internal\SlotNames;
use Gravik\Listening\Lock\Internal\SwingMeter;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Performance\Timeline;
use Gravik\Time\SwingUnit;

/** Holds a take against what was planned and says how it sits. */
final readonly class LockReporter
{
    public const FEWEST = 6;

    public function __construct(private Matcher $matcher = new Matcher()) {}

    /**
     * @param ?float $latencyMs  the device's delay, positive when it reports late; null when it was never measured
     * @param ?float $cleanTempo the last tempo played clean, where known
     * @param ?int   $bars       that were asked for: those not played are missed; null where nobody said how many
     * @param int    $from       bar of the song, from 0, at which the take begins: a pass, or some bars of it
     */
    public function report(
        Take $take,
        Timeline $timeline,
        SwingUnit $unit,
        ?float $latencyMs = null,
        ?float $cleanTempo = null,
        Gate $gate = new Gate(),
        ?int $bars = null,
        int $from = 0,
    ): LockReport {
        if ($latencyMs !== null && ($latencyMs < -500 || $latencyMs > 1000)) {
            throw new DelayOutOfRange();
        }
        $take = $take->laterBy($timeline->secondsOfBars($from));
        $bars = $bars === null ? null : $from + $bars;
        $late = ($latencyMs ?? 0.0) / 1000;
        $played = array_map(static fn (PlayedOnset $tap): float => $tap->t - $late, $take->taps);
        $asked = AskedBars::of($timeline, array_map(static fn (PlayedOnset $tap): float => $tap->t - $late, $take->sure()), $bars);
        $plan = Plan::ofBars($timeline, $asked->bars, $from);
        $planned = array_map(static fn (PlannedOnset $onset): float => $onset->t, $plan->onsets);
        $matching = (new FaintStrokes($this->matcher))->match(
            $planned,
            $played,
            array_column($take->taps, 'plain'),
            $plan->smallestGap(),
            $plan->ruler()->tempo->beatSeconds(),
        );
        $names = new SlotNames($timeline->hands());

        $met = (new Hits($plan, $take, $played, $matching))->all();
        // What hardly stood out was met, but when it came is not known well enough to be told.
        $hits = array_values(array_filter($met, static fn (Hit $hit): bool => $hit->sure));
        $lastBar = $bars === null ? max([-1, ...array_map(static fn (Hit $hit): int => $hit->bar, $met)]) : $asked->bars - 1;
        $lastMet = max([0.0, ...array_map(static fn (Hit $hit): float => $hit->t, $met)]);
        // Of bars that nobody asked for only what comes before the last stroke met is missed.
        $missed = array_values(array_filter(
            $matching->missed,
            static fn (int $index): bool => $plan->onsets[$index]->bar <= $lastBar
                && ($bars === null || $plan->onsets[$index]->bar < $bars || $plan->onsets[$index]->t <= $lastMet),
        ));
        $after = count(array_filter($missed, static fn (int $index): bool => $plan->onsets[$index]->t > $lastMet));
        $missedSlots = array_map(static fn (int $index): int => $plan->onsets[$index]->slot, $missed);
        $extra = array_values(array_filter(
            $matching->extra,
            static fn (int $stroke): bool => ! $asked->isClosing($played[$stroke]) && ! $timeline->isFreeAt($played[$stroke]),
        ));
        $extraSlots = array_map(
            static fn (int $stroke): int => (int) $timeline->slotNear($played[$stroke] - self::shiftAt($plan, $matching, $played[$stroke])),
            $extra,
        );
        $drift = Drift::of($hits, $plan->ruler()->tempo->bpm, $names->slotsInBar());
        $deviations = Deviations::of($hits, $drift);
        $steady = $drift === null ? $played : array_map(static fn (float $t): float => $t - $drift->at($t) / 1000, $played);

        $report = new LockReport(
            planned: count($met) + count($missed),
            // A stroke that closes the take is no part of what was asked.
            played: count($met) + count($extra),
            matched: count($met),
            missed: count($missed),
            extra: count($extra),
            latencyMs: $latencyMs,
            biasMs: $deviations?->biasMs,
            spreadMs: $deviations?->spreadMs,
            driftMs: $drift?->ms,
            driftBpmPerMin: $drift?->bpmPerMin,
            swing: (new SwingMeter($plan, $unit))->measure($matching, $steady, $take->anchored),
            directionsTold: count(array_filter($hits, static fn (Hit $hit): bool => $hit->directionRight !== null)),
            directionsWrong: count(array_filter($hits, static fn (Hit $hit): bool => $hit->directionRight === false)),
            slots: $this->slots($plan, $names, $hits, $deviations, $missedSlots, $extraSlots, $unit),
            hits: $hits,
            findings: [],
            failed: [],
            gate: $gate,
            anchored: $take->anchored,
            bias: $deviations?->bias,
            spread: $deviations?->spread,
            drift: $drift?->interval,
        );

        return (new Findings($plan->ruler(), $unit, $cleanTempo))->addedTo(
            $report,
            $deviations,
            (new OtherTake($timeline, $this->matcher))->finding($report, $deviations, $take, count($missed) - $after),
            $after,
        );
    }

    /** How far from the plan the player was, seconds, at the planned onset nearest to a stroke. */
    private static function shiftAt(Plan $plan, Matching $matching, float $t): float
    {
        $shift = 0.0;
        $least = INF;
        foreach ($plan->onsets as $index => $onset) {
            $far = abs($onset->t + $matching->shifts[$index] - $t);
            if ($far < $least) {
                [$least, $shift] = [$far, $matching->shifts[$index]];
            }
        }

        return $shift;
    }

    /**
     * @param list<Hit> $hits
     * @param list<int> $missed slots
     * @param list<int> $extra  slots
     *
     * @return list<SlotFigures>
     */
    private function slots(
        Plan $plan,
        SlotNames $names,
        array $hits,
        ?Deviations $deviations,
        array $missed,
        array $extra,
        SwingUnit $unit,
    ): array {
        $used = array_unique([...array_map(static fn (PlannedOnset $onset): int => $onset->slot, $plan->onsets), ...$extra]);
        sort($used);
        $slots = [];
        foreach ($used as $slot) {
            $own = array_values(array_filter($hits, static fn (Hit $hit): bool => $hit->slot === $slot));
            $ms = array_map(static fn (Hit $hit): float => $deviations?->left($hit) ?? $hit->ms, $own);
            $slots[] = new SlotFigures(
                $slot,
                $names->of($slot),
                $names->isOffBeat($slot, $unit),
                count($ms),
                $ms === [] ? null : Statistics::median($ms),
                $ms === [] ? null : Statistics::spread($ms),
                count(array_keys($missed, $slot, true)),
                count(array_keys($extra, $slot, true)),
                ...self::heard($own),
                bias: Interval::ofMedian($ms),
            );
        }

        return $slots;
    }

    /**
     * @param list<Hit> $hits of one slot
     *
     * @return array{levelDb: ?float, lengthShare: ?float, mutedOk: ?float}
     */
    private static function heard(array $hits): array
    {
        $levels = [];
        $lengths = [];
        $muted = [];
        foreach ($hits as $hit) {
            $levels = $hit->levelDb === null ? $levels : [...$levels, $hit->levelDb];
            $lengths = $hit->lengthShare === null ? $lengths : [...$lengths, $hit->lengthShare];
            $muted = $hit->mutedRight === null ? $muted : [...$muted, $hit->mutedRight ? 1 : 0];
        }

        return [
            'levelDb' => $levels === [] ? null : Statistics::median($levels),
            'lengthShare' => $lengths === [] ? null : Statistics::median($lengths),
            'mutedOk' => $muted === [] ? null : array_sum($muted) / count($muted),
        ];
    }
}
