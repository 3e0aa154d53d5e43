<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

/**
 * Lays strokes onto a grid whose tempo is roughly known: of all ways to give each stroke a slot, in order, the one whose
 * gaps fit the time between the strokes best (dynamic programming over the slots of the beat). Gaps rather than places
 * are compared, so a tempo that wanders is followed. Where the beat was known to the player, every stroke is drawn towards its
 * place by the clock too, counted along the best way so far; that pull is weak, and no longer the exact minimum.
 *
 * @internal
 */
final readonly class BeatTracker
{
    /** How far a stroke usually scatters, seconds, and how far the tempo may be off, as a share. */
    private const SCATTER = 0.012;

    private const TEMPO_OFF = 0.02;

    /** A gap that fits nowhere costs no more than this: a stroke too many must not bend all others. */
    private const WORST = 8.0;

    /**
     * Whoever plays to a known beat stays with it: so many seconds away cost 1, but never more than this, so that one who
     * drifts away is still followed, while a slip to the next slot is made good before long.
     */
    private const AWAY = 0.15;

    private const AWAY_AT_MOST = 0.6;

    /** Beats are rather met than passed by. */
    private const OFF_BEAT = 0.04;

    /** A take rather begins on a beat than between two. */
    private const BEGINS_OFF = 0.6;

    /**
     * @param non-empty-list<float> $times     seconds, in order
     * @param float                 $beat      seconds
     * @param ?float                $firstBeat seconds of beat 0 where it is known; else it is the beat of the first stroke
     * @param ?float                $steady    seconds a beat where the strokes were played to a beat that is known
     *
     * @return array{cost: float, beats: list<int>, slots: list<int>} for each stroke its beat and its slot
     */
    public function track(array $times, float $beat, BeatGrid $grid, ?float $firstBeat = null, ?float $steady = null): array
    {
        $places = $grid->places;
        $slots = count($places);
        [$costs, $begins] = $this->begin($times[0], $beat, $places, $firstBeat);
        $from = [[]];
        $passed = [$begins];
        $reached = $begins;
        for ($number = 1, $count = count($times); $number < $count; $number++) {
            $gap = ($times[$number] - $times[$number - 1]) / $beat;
            $next = [];
            $fromHere = [];
            $passedHere = [];
            $reachedHere = [];
            for ($slot = 0; $slot < $slots; $slot++) {
                $best = INF;
                $bestFrom = 0;
                $bestBeats = 0;
                for ($before = 0; $before < $slots; $before++) {
                    $apart = $places[$slot] - $places[$before];
                    $beats = (int) ($gap - $apart + 0.5);
                    // No stroke goes back; but one too many may stay in the slot of the one before it.
                    if ($beats + $apart <= 0.01 && ! ($beats === 0 && $slot === $before)) {
                        $beats++;
                    }
                    $expected = $beats + $apart;
                    $off = ($gap - $expected) * $beat;
                    $scatter = self::TEMPO_OFF * $expected * $beat;
                    $price = $off * $off / (2 * (2 * self::SCATTER * self::SCATTER + $scatter * $scatter));
                    $cost = $costs[$before] + ($price < self::WORST ? $price : self::WORST);
                    if ($cost < $best) {
                        $best = $cost;
                        $bestFrom = $before;
                        $bestBeats = $beats;
                    }
                }
                $reachedHere[] = $reached[$bestFrom] + $bestBeats;
                if ($steady !== null && $firstBeat !== null) {
                    $away = $times[$number] - $firstBeat - ($reachedHere[$slot] + $places[$slot]) * $steady;
                    $best += min(self::AWAY_AT_MOST, ($away / self::AWAY) ** 2);
                }
                $next[] = $best + ($slot === 0 ? 0.0 : self::OFF_BEAT);
                $fromHere[] = $bestFrom;
                $passedHere[] = $bestBeats;
            }
            $costs = $next;
            $reached = $reachedHere;
            $from[] = $fromHere;
            $passed[] = $passedHere;
        }

        return ['cost' => min([INF, ...$costs])] + $this->traced($costs, $from, $passed);
    }

    /**
     * What it costs the first stroke to lie in each slot, and in which beat it then lies.
     *
     * @param non-empty-list<float> $places
     *
     * @return array{non-empty-list<float>, non-empty-list<int>}
     */
    private function begin(float $t, float $beat, array $places, ?float $firstBeat): array
    {
        $costs = [];
        $beats = [];
        foreach ($places as $slot => $place) {
            $at = $firstBeat === null ? $place : ($t - $firstBeat) / $beat;
            $beats[] = (int) round($at - $place);
            $costs[] = $firstBeat === null ? ($slot === 0 ? 0.0 : self::BEGINS_OFF) : (($at - $place - end($beats)) * $beat / self::SCATTER) ** 2 / 2;
        }

        return [$costs, $beats];
    }

    /**
     * @param list<float>                      $costs
     * @param non-empty-list<array<int, int>> $from
     * @param non-empty-list<array<int, int>> $passed
     *
     * @return array{beats: list<int>, slots: list<int>}
     */
    private function traced(array $costs, array $from, array $passed): array
    {
        $slot = (int) array_search(min([INF, ...$costs]), $costs, true);
        $steps = [];
        $slots = [];
        for ($number = count($from) - 1; $number >= 0; $number--) {
            $steps[] = $passed[$number][$slot];
            $slots[] = $slot;
            $slot = $from[$number][$slot] ?? 0;
        }
        $beat = 0;
        $beats = [];
        foreach (array_reverse($steps) as $step) {
            $beats[] = $beat += $step;
        }

        return ['beats' => $beats, 'slots' => array_reverse($slots)];
    }
}
