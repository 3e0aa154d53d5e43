<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Lock\Matching;
use Gravik\Listening\Lock\Plan;
use Gravik\Listening\Lock\SwingPlayed;
use Gravik\Listening\Statistics;
use Gravik\Time\Ruler;
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
        $swung = $this->swung();
        if ($swung === null) {
            return null;
        }
        $pair = intdiv($swung->meter->beatTicks(), $this->unit === SwingUnit::Eighth ? 1 : 2);
        $playedAt = [];
        foreach ($matching->pairs as $index => $stroke) {
            $onset = $this->plan->onsets[$index];
            if ($this->plan->stretchAt($onset->tick)->ruler->ratio === $swung->ratio) {
                $playedAt[$onset->tick] = $played[$stroke];
            }
        }
        $pairsPlanned = $this->plansCompletePairs($pair);
        if (! $pairsPlanned && ! $anchored) {
            return null;
        }
        $ratios = [];
        foreach ($playedAt as $tick => $off) {
            if (! $this->isOffBeat($tick, $pair)) {
                continue;
            }
            $start = $tick - intdiv($pair, 2);
            $down = $pairsPlanned ? $playedAt[$start] ?? null : $this->plan->secondsAt($start);
            $next = $pairsPlanned ? $playedAt[$start + $pair] ?? null : $this->plan->secondsAt($start + $pair);
            if ($down !== null && $next !== null && $off > $down && $next > $off) {
                $ratios[] = ($off - $down) / ($next - $off);
            }
        }
        if (count($ratios) < self::FEWEST_PAIRS) {
            return null;
        }
        [$low, $high] = Statistics::interval($ratios);

        return new SwingPlayed($swung->ratio, Statistics::median($ratios), $low, $high);
    }

    /** The first meter and feel of the plan in which pairs can swing and strokes are fine enough; null where there is none. */
    private function swung(): ?Ruler
    {
        foreach ($this->plan->timeline->spans as $span) {
            $ruler = $this->plan->timeline->map->at($span->from)->ruler;
            $pair = intdiv($ruler->meter->beatTicks(), $this->unit === SwingUnit::Eighth ? 1 : 2);
            if (! $ruler->meter->isCompound() && $span->hand->plan->pattern->slotTicks() * 2 <= $pair) {
                return $ruler;
            }
        }

        return null;
    }

    private function isOffBeat(int $tick, int $pair): bool
    {
        $stretch = $this->plan->stretchAt($tick);

        return ! $stretch->ruler->meter->isCompound() && 2 * ($stretch->inBar($tick) % $pair) === $pair;
    }

    /** Whether an off-beat is planned anywhere with a stroke on both beats around it. */
    private function plansCompletePairs(int $pair): bool
    {
        $planned = [];
        foreach ($this->plan->onsets as $onset) {
            $planned[$onset->tick] = true;
        }
        foreach (array_keys($planned) as $tick) {
            $start = $tick - intdiv($pair, 2);
            if ($this->isOffBeat($tick, $pair) && isset($planned[$start], $planned[$start + $pair])) {
                return true;
            }
        }

        return false;
    }
}
