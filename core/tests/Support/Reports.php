<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Gate;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Time\SwingUnit;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Takes made from a plan by a rule, and what is said of them. */
final class Reports
{
    public static function timeline(Breakdown $breakdown): Timeline
    {
        return (new Performer())->perform($breakdown);
    }

    /**
     * A take of so many rounds, each stroke moved by what $ms gives for it; null leaves it out.
     *
     * @return list<array{t: float, key: string}>
     */
    public static function played(Timeline $timeline, callable $ms, int $rounds = 8): array
    {
        $taps = [];
        for ($round = 0; $round < $rounds; $round++) {
            foreach ($timeline->strokes as $index => $stroke) {
                $moved = $ms($stroke, $round, $index);
                if ($moved !== null) {
                    $t = $stroke->t + $round * $timeline->seconds + $moved / 1000;
                    $taps[] = ['t' => $t, 'key' => $stroke->stroke->direction->value ?? 'down'];
                }
            }
        }

        return $taps;
    }

    /** @param list<mixed> $taps */
    public static function of(
        array $taps,
        Timeline $timeline,
        ?float $latency = 0.0,
        Gate $gate = new Gate(),
        ?int $bars = null,
        int $from = 0,
    ): LockReport {
        return (new LockReporter())->report(
            Take::read($taps),
            $timeline,
            SwingUnit::Eighth,
            $latency,
            gate: $gate,
            bars: $bars,
            from: $from,
        );
    }

    /** @return list<string> */
    public static function kinds(LockReport $report): array
    {
        return array_map(static fn (Finding $finding): string => $finding->kind->value, $report->findings);
    }

    /**
     * A take whose tempo changes evenly by $perMin BPM a minute, from the closed formula, with a seeded scatter.
     *
     * @return list<float>
     */
    public static function drifting(Timeline $timeline, float $perMin, float $biasMs, int $bars, float $scatterMs = 0.0): array
    {
        $chance = new Randomizer(new Mt19937(77));
        $bpm = $timeline->map->first()->tempo->bpm;
        $taps = [];
        for ($round = 0; $round * $timeline->bars() < $bars; $round++) {
            foreach ($timeline->strokes as $stroke) {
                $planned = $stroke->t + $round * $timeline->seconds;
                $at = $perMin === 0.0 ? $planned : 60 * $bpm / $perMin * (sqrt(1 + $perMin * $planned / (30 * $bpm)) - 1);
                $normal = array_sum(array_map(static fn (): float => $chance->getInt(0, 1_000_000) / 1_000_000, range(1, 12))) - 6;
                if ($stroke->bar + $round * $timeline->bars() < $bars) {
                    $taps[] = max(-1.0, $at + ($biasMs + $scatterMs * $normal) / 1000);
                }
            }
        }
        sort($taps);

        return $taps;
    }
}
