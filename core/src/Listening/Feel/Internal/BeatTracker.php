<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

/**
 * Lays strokes onto a grid whose tempo is roughly known: of all ways to give each stroke a slot, in order, the one whose
 * gaps fit the time between the strokes best (dynamic programming over the slots of the beat). Gaps rather than places
 * are compared, so a tempo that wanders is followed.
 *
 * @internal
 */
final readonly class BeatTracker
{
    /** How far a stroke usually scatters, seconds, and how far the tempo may be off, as a share. */
    private const SCATTER = 0.012;

    private const TEMPO_OFF = 0.02;

    /** A gap that fits nowhere costs no more than this: a stroke too many must not bend all others. */
    public const WORST = 8.0;

    /** Beats are rather met than passed by. */
    public const OFF_BEAT = 0.04;

    /** A take rather begins on a beat than between two. */
    private const BEGINS_OFF = 0.6;

    /**
     * @param non-empty-list<float> $times     seconds, in order
     * @param float                 $beat      seconds
     * @param ?float                $firstBeat seconds of beat 0 where it is known; else it is the beat of the first stroke
     *
     * @return array{cost: float, beats: list<int>, slots: list<int>} for each stroke its beat and its slot
     */
    public function track(array $times, float $beat, BeatGrid $grid, ?float $firstBeat = null): array
    {
        $places = $grid->places;
        $slots = count($places);
        [$costs, $begins] = $this->begin($times[0], $beat, $places, $firstBeat);
        $from = [[]];
        $passed = [$begins];
        for ($number = 1, $count = count($times); $number < $count; $number++) {
            $gap = ($times[$number] - $times[$number - 1]) / $beat;
            $next = [];
            $fromHere = [];
            $passedHere = [];
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
                    $cost = $costs[$before] + self::price($gap, $expected, $beat);
                    if ($cost < $best) {
                        $best = $cost;
                        $bestFrom = $before;
                        $bestBeats = $beats;
                    }
                }
                $next[] = $best + ($slot === 0 ? 0.0 : self::OFF_BEAT);
                $fromHere[] = $bestFrom;
                $passedHere[] = $bestBeats;
            }
            $costs = $next;
            $from[] = $fromHere;
            $passed[] = $passedHere;
        }

        return ['cost' => min([INF, ...$costs])] + $this->traced($costs, $from, $passed);
    }

    /** What it costs the first stroke to lie so many seconds off a place that is known. */
    public static function beginning(float $off): float
    {
        return ($off / self::SCATTER) ** 2 / 2;
    }

    /**
     * What it costs that a gap was expected to be another.
     *
     * @param float $gap      beats
     * @param float $expected beats
     * @param float $beat     seconds
     */
    public static function price(float $gap, float $expected, float $beat): float
    {
        $off = ($gap - $expected) * $beat;
        $scatter = self::TEMPO_OFF * $expected * $beat;
        $price = $off * $off / (2 * (2 * self::SCATTER * self::SCATTER + $scatter * $scatter));

        return $price < self::WORST ? $price : self::WORST;
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
            $costs[] = $firstBeat === null ? ($slot === 0 ? 0.0 : self::BEGINS_OFF) : self::beginning(($at - $place - end($beats)) * $beat);
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
