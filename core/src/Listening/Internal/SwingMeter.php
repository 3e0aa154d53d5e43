<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\Matching;
use Gravik\Listening\Plan;
use Gravik\Listening\Statistics;
use Gravik\Listening\SwingPlayed;
use Gravik\Time\SwingUnit;

/**
 * Long : short as it was played: the median over complete pairs of (u − d)/(d′ − u), d and d′ on the beat and u
 * between. Where the pattern has no complete pair, its off-beats are held against the planned beats.
 *
 * @internal
 */
final readonly class SwingMeter
{
    private const FEWEST_PAIRS = 2;

    public function __construct(private Plan $plan, private SwingUnit $unit) {}

    /**
     * @param list<float> $played   seconds
     * @param bool        $anchored whether the planned beats are the band's; off-beats alone say nothing without them
     */
    public function measure(Matching $matching, array $played, bool $anchored): ?SwingPlayed
    {
        $meter = $this->plan->ruler->meter;
        $pair = intdiv($meter->beatTicks(), $this->unit === SwingUnit::Eighth ? 1 : 2);
        if ($meter->isCompound() || $this->plan->slotTicks * 2 > $pair) {
            return null;
        }
        $playedAt = [];
        foreach ($matching->pairs as $index => $stroke) {
            $playedAt[$this->plan->onsets[$index]->formTick] = $played[$stroke];
        }
        $pairsPlanned = $this->plansCompletePairs($pair);
        if (! $pairsPlanned && ! $anchored) {
            return null;
        }
        $ratios = [];
        foreach ($playedAt as $tick => $off) {
            if (2 * ($tick % $pair) !== $pair) {
                continue;
            }
            $start = $tick - intdiv($pair, 2);
            $down = $pairsPlanned ? $playedAt[$start] ?? null : $this->plan->ruler->secondsAt($start, 1);
            $next = $pairsPlanned ? $playedAt[$start + $pair] ?? null : $this->plan->ruler->secondsAt($start + $pair, 1);
            if ($down !== null && $next !== null && $off > $down && $next > $off) {
                $ratios[] = ($off - $down) / ($next - $off);
            }
        }
        if (count($ratios) < self::FEWEST_PAIRS) {
            return null;
        }
        [$low, $high] = Statistics::interval($ratios);

        return new SwingPlayed($this->plan->ruler->ratio, Statistics::median($ratios), $low, $high);
    }

    /** Whether an off-beat is planned anywhere with a stroke on both beats around it. */
    private function plansCompletePairs(int $pair): bool
    {
        $planned = [];
        foreach ($this->plan->onsets as $onset) {
            $planned[$onset->formTick] = true;
        }
        foreach (array_keys($planned) as $tick) {
            $start = $tick - intdiv($pair, 2);
            if (2 * ($tick % $pair) === $pair && isset($planned[$start], $planned[$start + $pair])) {
                return true;
            }
        }

        return false;
    }
}
