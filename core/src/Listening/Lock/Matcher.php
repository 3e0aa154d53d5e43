<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\Lock\Internal\OrderedPairs;
use Gravik\Listening\Statistics;

/**
 * Pairs strokes played with strokes planned, one to one and in order.
 *
 * First the constant shift, within half a beat, that pairs most (of several the smallest); one of more than a quarter of
 * a beat must pair clearly more than the best smaller one. Then the shift follows the player through the take: a running
 * median of the last deviations. Around the plan so shifted, most pairs, and of those the least sum of distances. Times
 * are whole microseconds here, so that a stroke on the window's edge is counted alike everywhere.
 */
final readonly class Matcher
{
    private const WIDEST_US = 120_000;

    private const SHARE_OF_GAP = 0.45;

    /** A shift of more than a quarter of a beat must pair so much of the plan more than the best smaller one. */
    private const CLEARLY_MORE = 0.1;

    /** The shift follows once so many strokes are paired, as the median of the last so many deviations. */
    private const FOLLOWS_FROM = 3;

    private const FOLLOWS = 7;

    /** How far a stroke may lie from its place, seconds, where the plan's smallest gap is so many seconds. */
    public static function window(float $gap): float
    {
        return self::windowUs($gap) / 1_000_000;
    }

    /**
     * @param list<float> $planned seconds, in order
     * @param list<float> $played  seconds, in order
     * @param float       $gap     the plan's smallest gap, seconds
     * @param float       $beat    seconds
     */
    public function match(array $planned, array $played, float $gap, float $beat): Matching
    {
        $plan = array_map(self::us(...), $planned);
        $strokes = array_map(self::us(...), $played);
        $window = self::windowUs($gap);
        $constant = $this->constantShift($plan, $strokes, $window, self::us($beat));
        $pairs = [];
        $shifts = array_fill(0, count($plan), 0);
        foreach (array_unique([0, $constant]) as $begun) {
            $followed = self::follow($plan, $strokes, $window, $begun);
            $found = OrderedPairs::of(
                array_map(static fn (int $onset, int $shift): int => $onset + $shift, $plan, $followed),
                $strokes,
                $window,
            );
            if (count($found) > count($pairs)) {
                [$pairs, $shifts] = [$found, $followed];
            }
        }
        $claimed = array_flip($pairs);

        return new Matching(
            $pairs,
            array_values(array_diff(array_keys($plan), array_keys($pairs))),
            array_values(array_filter(array_keys($strokes), static fn (int $stroke): bool => ! isset($claimed[$stroke]))),
            array_map(static fn (int $shift): float => $shift / 1_000_000, $shifts),
        );
    }

    /**
     * @param list<int> $plan
     * @param list<int> $strokes
     */
    private function constantShift(array $plan, array $strokes, int $window, int $beat): int
    {
        [$near, $nearPairs] = $this->bestShift($plan, $strokes, $window, intdiv($beat, 4));
        [$far, $farPairs] = $this->bestShift($plan, $strokes, $window, intdiv($beat, 2));

        return $farPairs - $nearPairs >= max(1, self::CLEARLY_MORE * count($plan)) ? $far : $near;
    }

    /**
     * The shift at each planned onset, as the player moves away from the beginning.
     *
     * @param list<int> $plan
     * @param list<int> $strokes
     *
     * @return list<int> one for each planned onset
     */
    private static function follow(array $plan, array $strokes, int $window, int $begun): array
    {
        $shift = $begun;
        $shifts = [];
        $latest = [];
        $from = 0;
        foreach ($plan as $onset) {
            $shifts[] = $shift;
            $nearest = self::nearest($strokes, $onset + $shift, $window, $from);
            if ($nearest === null) {
                continue;
            }
            $from = $nearest + 1;
            $latest = [...array_slice($latest, 1 - self::FOLLOWS), $strokes[$nearest] - $onset];
            if (count($latest) >= self::FOLLOWS_FROM) {
                $shift = (int) round(Statistics::median(array_map(floatval(...), $latest)));
            }
        }

        return $shifts;
    }

    /**
     * The number of pairs changes only where a stroke enters or leaves a window, so it is enough to try no shift and
     * the edges of every window.
     *
     * @param list<int> $plan
     * @param list<int> $strokes
     *
     * @return array{int, int} the shift, and how many it pairs
     */
    private function bestShift(array $plan, array $strokes, int $window, int $farthest): array
    {
        $spans = [];
        $first = 0;
        foreach ($plan as $onset) {
            $reached = [];
            while (isset($strokes[$first]) && $strokes[$first] < $onset - $farthest - $window) {
                $first++;
            }
            for ($stroke = $first; isset($strokes[$stroke]) && $strokes[$stroke] <= $onset + $farthest + $window; $stroke++) {
                $difference = $strokes[$stroke] - $onset;
                $span = [max(-$farthest, $difference - $window), min($farthest, $difference + $window)];
                $last = array_key_last($reached);
                if ($last !== null && $span[0] <= $reached[$last][1]) {
                    $reached[$last][1] = max($reached[$last][1], $span[1]);
                } elseif ($span[0] <= $span[1]) {
                    $reached[] = $span;
                }
            }
            array_push($spans, ...$reached);
        }

        return $this->deepest($spans);
    }

    /**
     * The shift nearest 0 that lies in most spans.
     *
     * @param list<array{int, int}> $spans both ends included
     *
     * @return array{int, int} the shift, and in how many it lies
     */
    private function deepest(array $spans): array
    {
        $edges = [];
        foreach ($spans as [$from, $to]) {
            $edges[$from] = ($edges[$from] ?? 0) + 1;
            $edges[$to + 1] = ($edges[$to + 1] ?? 0) - 1;
        }
        ksort($edges);
        $places = array_keys($edges);
        $best = 0;
        $most = 0;
        $depth = 0;
        foreach ($places as $index => $place) {
            $depth += $edges[$place];
            $until = ($places[$index + 1] ?? $place + 1) - 1;
            $nearest = max($place, min($until, 0));
            if ($depth > $most || ($depth === $most && $depth > 0 && abs($nearest) < abs($best))) {
                [$most, $best] = [$depth, $nearest];
            }
        }

        return [$best, $most];
    }

    /**
     * @param list<int> $strokes
     * @param int       $from    the first that is free
     *
     * @return ?int index of the stroke nearest to a time within the window; the earlier of two as near
     */
    private static function nearest(array $strokes, int $time, int $window, int $from): ?int
    {
        $low = $from;
        $high = count($strokes);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $strokes[$middle] < $time ? $low = $middle + 1 : $high = $middle;
        }
        $best = null;
        foreach ([$low - 1, $low] as $candidate) {
            if ($candidate >= $from && isset($strokes[$candidate]) && abs($strokes[$candidate] - $time) <= $window
                && ($best === null || abs($strokes[$candidate] - $time) < abs($strokes[$best] - $time))) {
                $best = $candidate;
            }
        }

        return $best;
    }

    private static function windowUs(float $gap): int
    {
        return min(self::WIDEST_US, (int) floor(self::SHARE_OF_GAP * self::us($gap)));
    }

    private static function us(float $seconds): int
    {
        return (int) round($seconds * 1_000_000);
    }
}
