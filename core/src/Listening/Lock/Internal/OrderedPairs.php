<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

/**
 * The best way to give strokes to places, one to one and in order: most pairs, and of those the least sum of distances.
 * All ways are weighed: for each place only those are kept that a better one does not end before.
 *
 * @internal used by Matcher
 */
final readonly class OrderedPairs
{
    /**
     * @param list<int> $places  microseconds, about in order
     * @param list<int> $strokes microseconds, in order
     * @param int       $window  how far a stroke may lie from its place, both ends included
     *
     * @return array<int, int> place => stroke, indexes
     */
    public static function of(array $places, array $strokes, int $window): array
    {
        $ways = [PairedSoFar::none()];
        $first = 0;
        foreach ($places as $place => $time) {
            while (isset($strokes[$first]) && $strokes[$first] < $time - 4 * $window) {
                $first++;
            }
            $near = [];
            for ($stroke = $first; isset($strokes[$stroke]) && $strokes[$stroke] <= $time + $window; $stroke++) {
                if ($strokes[$stroke] >= $time - $window) {
                    $near[] = $stroke;
                }
            }
            if ($near === []) {
                continue;
            }
            $longer = $ways;
            foreach ($ways as $way) {
                foreach ($near as $stroke) {
                    if ($stroke > $way->stroke) {
                        $longer[] = $way->with($place, $stroke, abs($strokes[$stroke] - $time));
                    }
                }
            }
            $ways = self::worthKeeping($longer);
        }
        $pairs = [];
        for ($way = $ways[count($ways) - 1] ?? null; $way !== null && $way->pairs > 0; $way = $way->before) {
            $pairs[$way->place] = $way->stroke;
        }

        return array_reverse($pairs, true);
    }

    /**
     * @param list<PairedSoFar> $ways
     *
     * @return list<PairedSoFar> those that leave strokes free which every better one has passed
     */
    private static function worthKeeping(array $ways): array
    {
        usort(
            $ways,
            static fn (PairedSoFar $a, PairedSoFar $b): int => [
                $a->stroke,
                -$a->pairs,
                $a->distance,
            ] <=> [$b->stroke, -$b->pairs, $b->distance],
        );
        $kept = [];
        foreach ($ways as $way) {
            $before = $kept[count($kept) - 1] ?? null;
            if ($before === null || $way->isBetterThan($before)) {
                $kept[] = $way;
            }
        }

        return $kept;
    }
}
