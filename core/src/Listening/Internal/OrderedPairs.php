<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

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
        // A way: [last stroke given, pairs, distance, the way before, the place of the last pair]
        $ways = [[-1, 0, 0, null, -1]];
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
                    if ($stroke > $way[0]) {
                        $longer[] = [$stroke, $way[1] + 1, $way[2] + abs($strokes[$stroke] - $time), $way, $place];
                    }
                }
            }
            $ways = self::worthKeeping($longer);
        }
        $pairs = [];
        for ($way = self::best($ways); $way !== null && $way[4] >= 0; $way = $way[3]) {
            $pairs[$way[4]] = $way[0];
        }

        return array_reverse($pairs, true);
    }

    /**
     * @param list<array{int, int, int, mixed, int}> $ways
     *
     * @return list<array{int, int, int, mixed, int}> those that leave strokes free which every better one has passed
     */
    private static function worthKeeping(array $ways): array
    {
        usort($ways, static fn (array $a, array $b): int => [$a[0], -$a[1], $a[2]] <=> [$b[0], -$b[1], $b[2]]);
        $kept = [];
        foreach ($ways as $way) {
            $before = $kept[count($kept) - 1] ?? null;
            if ($before === null || $way[1] > $before[1] || ($way[1] === $before[1] && $way[2] < $before[2])) {
                $kept[] = $way;
            }
        }

        return $kept;
    }

    /**
     * @param list<array{int, int, int, mixed, int}> $ways
     *
     * @return array{int, int, int, mixed, int}|null
     */
    private static function best(array $ways): ?array
    {
        return $ways[count($ways) - 1] ?? null;
    }
}
