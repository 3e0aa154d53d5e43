<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

/**
 * Lays strokes onto the grid of a beat that the player heard: of all ways to give each stroke a place, in order, the one
 * that costs least in gaps that do not fit and in strokes that lie away from their place by the clock. The pull of the clock
 * is weak, so that one who drifts is followed, while a stumble does not push all that follow into the next slot. Every place
 * is a state of its own, so the least is the least of all (dynamic programming).
 *
 * @internal
 */
final readonly class ClockTracker
{
    /** So many seconds away cost 1, but never more than this. */
    private const AWAY = 0.15;

    private const AWAY_AT_MOST = 0.6;

    /**
     * @param non-empty-list<float> $times     seconds, in order
     * @param float                 $firstBeat seconds of beat 0
     * @param float                 $steady    seconds a beat of the clock
     *
     * @return array{cost: float, beats: list<int>, slots: list<int>} for each stroke its beat and its slot
     */
    public function track(array $times, BeatGrid $grid, float $firstBeat, float $steady): array
    {
        $places = $grid->places;
        $slots = count($places);
        $clock = ($times[0] - $firstBeat) / $steady;
        $costs = $positions = [];
        foreach ($places as $slot => $at) {
            $beats = (int) round($clock - $at);
            $costs[$beats * $slots + $slot] = BeatTracker::beginning(($clock - $beats - $at) * $steady);
            $positions[$beats * $slots + $slot] = $beats + $at;
        }
        $from = [];
        for ($number = 1, $count = count($times); $number < $count; $number++) {
            $gap = ($times[$number] - $times[$number - 1]) / $steady;
            $clock = ($times[$number] - $firstBeat) / $steady;
            $next = $came = [];
            foreach ($costs as $before => $cost) {
                $was = $positions[$before];
                foreach ($places as $slot => $at) {
                    $byGap = (int) round($was + $gap - $at);
                    $byClock = (int) round($clock - $at);
                    foreach ($byGap === $byClock ? [$byGap] : [$byGap, $byClock] as $beats) {
                        $place = $beats * $slots + $slot;
                        // No stroke goes back; but one too many may stay in the slot of the one before it.
                        while ($place < $before) {
                            $place += $slots;
                            $beats++;
                        }
                        $here = $beats + $at;
                        $away = ($clock - $here) * $steady / self::AWAY;
                        $total = $cost
                            + BeatTracker::price($gap, $here - $was, $steady)
                            + ($slot === 0 ? 0.0 : BeatTracker::OFF_BEAT)
                            + ($away * $away < self::AWAY_AT_MOST ? $away * $away : self::AWAY_AT_MOST);
                        if ($total < ($next[$place] ?? INF)) {
                            $next[$place] = $total;
                            $came[$place] = $before;
                            $positions[$place] = $here;
                        }
                    }
                }
            }
            // What costs two gaps that fit nowhere more than the best is never caught up with.
            $most = min([INF, ...$next]) + 2 * BeatTracker::WORST;
            $costs = array_filter($next, static fn (float $cost): bool => $cost <= $most);
            $from[] = $came;
        }
        asort($costs);
        $place = (int) array_key_first($costs);
        $way = [$place];
        foreach (array_reverse($from) as $came) {
            $way[] = $place = $came[$place];
        }
        $way = array_reverse($way);

        return [
            'cost' => min([INF, ...$costs]),
            'beats' => array_map(static fn (int $place): int => (int) floor($place / $slots), $way),
            'slots' => array_map(static fn (int $place): int => ($place % $slots + $slots) % $slots, $way),
        ];
    }
}
