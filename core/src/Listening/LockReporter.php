<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Breakdown\Gate;
use Gravik\Listening\Internal\Deviations;
use Gravik\Listening\Internal\Findings;
use Gravik\Listening\Internal\OtherTake;
use Gravik\Listening\Internal\SlotNames;
use Gravik\Listening\Internal\SwingMeter;
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
     */
    public function report(Take $take, Timeline $timeline, SwingUnit $unit, ?float $latencyMs = null, ?float $cleanTempo = null, Gate $gate = new Gate()): LockReport
    {
        if ($latencyMs !== null && ($latencyMs < -500 || $latencyMs > 1000)) {
            throw ListeningException::latency();
        }
        $played = array_map(static fn (Tap $tap): float => $tap->t - ($latencyMs ?? 0.0) / 1000, $take->taps);
        $plan = Plan::of($timeline, $played === [] ? 0.0 : max($played));
        $planned = array_map(static fn (PlannedOnset $onset): float => $onset->t, $plan->onsets);
        $matching = $this->matcher->match($planned, $played, $plan->smallestGap(), $plan->ruler->tempo->beatSeconds());
        $names = new SlotNames($timeline->hand->pattern);

        $hits = [];
        $lastBar = -1;
        foreach ($matching->pairs as $index => $stroke) {
            $onset = $plan->onsets[$index];
            $hits[] = self::hit($onset, $take->taps[$stroke], $played[$stroke]);
            $lastBar = max($lastBar, $onset->bar);
        }
        $missed = array_values(array_filter($matching->missed, static fn (int $index): bool => $plan->onsets[$index]->bar <= $lastBar));
        $missedSlots = array_map(static fn (int $index): int => $plan->onsets[$index]->slot, $missed);
        $extraSlots = array_map(fn (int $stroke): int => $this->slotNear($plan, $played[$stroke] - $matching->shift), $matching->extra);
        $swing = (new SwingMeter($plan, $unit))->measure($matching, $played, $take->anchored);
        $deviations = Deviations::of($hits, $plan->ruler->tempo->bpm);

        $report = new LockReport(
            planned: count($hits) + count($missed),
            played: count($played),
            matched: count($hits),
            missed: count($missed),
            extra: count($matching->extra),
            latencyMs: $latencyMs,
            biasMs: $deviations?->biasMs,
            spreadMs: $deviations?->spreadMs,
            driftBpmPerMin: $deviations?->driftBpmPerMin,
            swing: $swing,
            directionsTold: count(array_filter($hits, static fn (Hit $hit): bool => $hit->directionRight !== null)),
            directionsWrong: count(array_filter($hits, static fn (Hit $hit): bool => $hit->directionRight === false)),
            slots: $this->slots($plan, $names, $hits, $missedSlots, $extraSlots, $unit),
            hits: $hits,
            findings: [],
            failed: [],
            gate: $gate,
            anchored: $take->anchored,
        );

        return (new Findings($plan->ruler, $unit, $cleanTempo))->addedTo($report, $deviations, (new OtherTake($timeline, $this->matcher))->finding($report, $take));
    }

    /**
     * @param list<Hit> $hits
     * @param list<int> $missed slots
     * @param list<int> $extra  slots
     *
     * @return list<SlotFigures>
     */
    private function slots(Plan $plan, SlotNames $names, array $hits, array $missed, array $extra, SwingUnit $unit): array
    {
        $pair = intdiv($plan->ruler->meter->beatTicks(), $unit === SwingUnit::Eighth ? 1 : 2);
        $used = array_unique([...array_map(static fn (PlannedOnset $onset): int => $onset->slot, $plan->onsets), ...$extra]);
        sort($used);
        $slots = [];
        foreach ($used as $slot) {
            $ms = array_map(static fn (Hit $hit): float => $hit->ms, array_values(array_filter($hits, static fn (Hit $hit): bool => $hit->slot === $slot)));
            $slots[] = new SlotFigures(
                $slot,
                $names->of($slot),
                2 * ($slot * $plan->slotTicks % $pair) === $pair,
                count($ms),
                $ms === [] ? null : Statistics::median($ms),
                $ms === [] ? null : Statistics::spread($ms),
                count(array_keys($missed, $slot, true)),
                count(array_keys($extra, $slot, true)),
                ...self::heard(array_values(array_filter($hits, static fn (Hit $hit): bool => $hit->slot === $slot))),
            );
        }

        return $slots;
    }

    private static function hit(PlannedOnset $onset, Tap $tap, float $played): Hit
    {
        $seconds = $tap->muted === true || $onset->muted ? null : $tap->seconds;

        return new Hit(
            $onset->slot,
            $onset->bar,
            $onset->t,
            1000 * ($played - $onset->t),
            $tap->direction === null || $onset->direction === null ? null : $tap->direction === $onset->direction,
            $tap->muted === null || $tap->levelDb === null ? null : $tap->muted === $onset->muted,
            $tap->levelDb,
            $seconds === null ? null : $seconds / $onset->seconds,
            $seconds === null ? null : $seconds - $onset->seconds,
        );
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

    /** The slot of the pattern that lies nearest to a time, played or not. */
    private function slotNear(Plan $plan, float $t): int
    {
        $slot = $plan->ruler->meter->beatTicks() / $plan->slotTicks;

        return (((int) round($t / $plan->ruler->tempo->beatSeconds() * $slot)) % $plan->slots + $plan->slots) % $plan->slots;
    }
}
