<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords\Internal;

/**
 * The way through stretch after stretch whose scores and steps sum to the most (Viterbi's algorithm).
 *
 * @internal used by ChordReader
 */
final readonly class LikeliestWay
{
    /** Candidates of a stretch that are followed. */
    public const FOLLOWED = 25;

    /**
     * @param list<list<float>>               $scores of each stretch, one a candidate
     * @param \Closure(int, int, int): float $step   what it counts to go from a candidate to another into a stretch
     *
     * @return list<int> a candidate for each stretch
     */
    public static function through(array $scores, \Closure $step): array
    {
        $best = [];
        $from = [];
        foreach ($scores as $place => $says) {
            arsort($says);
            $now = [];
            foreach (array_slice($says, 0, self::FOLLOWED, true) as $candidate => $score) {
                $from[$place][$candidate] = $candidate;
                $before = $best === [] ? 0.0 : -INF;
                foreach ($best as $earlier => $sum) {
                    $sum += $step($earlier, $candidate, $place);
                    if ($sum > $before) {
                        [$before, $from[$place][$candidate]] = [$sum, $earlier];
                    }
                }
                $now[$candidate] = $before + $score;
            }
            $best = $now;
        }
        if ($best === []) {
            return [];
        }
        arsort($best);
        $way = [array_key_first($best)];
        for ($place = count($scores) - 1; $place > 0; $place--) {
            array_unshift($way, $from[$place][$way[0]]);
        }

        return $way;
    }
}
