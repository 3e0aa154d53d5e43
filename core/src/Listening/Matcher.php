<?php

declare(strict_types=1);

namespace Gravik\Listening;

/**
 * Pairs strokes played with strokes planned, one to one and in order.
 *
 * First the constant shift, within half a beat, that pairs most (of several the smallest); then, within the window
 * around the shifted plan, most pairs and of those the least sum of distances. The window is at most 0.45 of the
 * smallest gap of the plan, so a stroke lies in the window of one planned onset at most, and the nearest stroke to each
 * onset is the true minimum. Times are whole microseconds here, so that a stroke on the window's edge is counted alike
 * everywhere.
 */
final readonly class Matcher
{
    private const WIDEST_US = 120_000;

    private const SHARE_OF_GAP = 0.45;

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
        $window = min(self::WIDEST_US, (int) floor(self::SHARE_OF_GAP * self::us($gap)));
        $shift = $this->bestShift($plan, $strokes, $window, intdiv(self::us($beat), 2));

        $pairs = [];
        $claimed = [];
        foreach ($plan as $index => $onset) {
            $nearest = self::nearest($strokes, $onset + $shift, $window);
            if ($nearest !== null) {
                $pairs[$index] = $nearest;
                $claimed[$nearest] = true;
            }
        }

        return new Matching(
            $pairs,
            array_values(array_diff(array_keys($plan), array_keys($pairs))),
            array_values(array_filter(array_keys($strokes), static fn (int $stroke): bool => ! isset($claimed[$stroke]))),
            $shift / 1_000_000,
        );
    }

    /**
     * The number of pairs changes only where a stroke enters or leaves a window, so it is enough to try no shift and
     * the edges of every window.
     *
     * @param list<int> $plan
     * @param list<int> $strokes
     */
    private function bestShift(array $plan, array $strokes, int $window, int $farthest): int
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
     */
    private function deepest(array $spans): int
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

        return $best;
    }

    /**
     * @param list<int> $strokes
     *
     * @return ?int index of the stroke nearest to a time within the window; the earlier of two as near
     */
    private static function nearest(array $strokes, int $time, int $window): ?int
    {
        $low = 0;
        $high = count($strokes);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $strokes[$middle] < $time ? $low = $middle + 1 : $high = $middle;
        }
        $best = null;
        foreach ([$low - 1, $low] as $candidate) {
            if (isset($strokes[$candidate]) && abs($strokes[$candidate] - $time) <= $window
                && ($best === null || abs($strokes[$candidate] - $time) < abs($strokes[$best] - $time))) {
                $best = $candidate;
            }
        }

        return $best;
    }

    private static function us(float $seconds): int
    {
        return (int) round($seconds * 1_000_000);
    }
}
