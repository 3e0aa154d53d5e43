<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts\Internal;

/**
 * Finds the form of a song from what its bars have in common: of all ways to lay it out in stretches of one length, after an intro
 * and before a rest, the one that takes the least to write down. A stretch is written once, each time it comes is one word,
 * and each bar of it that differs is to be named.
 *
 * @internal used by Drafter
 */
final readonly class FormFinder
{
    private const LONGEST = 32;

    private const LONGEST_INTRO = 8;

    /** Lengths that songs have; another one costs so much more. */
    private const USUAL = [4, 8, 12, 16, 24, 32];

    private const UNUSUAL = 2.0;

    /** A section is more than its bars; a bar that differs is more than one. */
    private const A_SECTION = 1.0;

    private const A_DIFFERENCE = 1.5;

    /** Stretches of which more bars than this differ are different ones. */
    private const SAME = 0.25;

    /**
     * @param list<list<string>> $bars what each bar holds, part by part
     *
     * @return list<Block> in order, all bars
     */
    public function find(array $bars): array
    {
        $best = [];
        $least = INF;
        for ($length = 2; $length <= min(self::LONGEST, max(2, count($bars))); $length++) {
            for ($intro = 0; $intro <= min(self::LONGEST_INTRO, count($bars) - $length); $intro++) {
                [$blocks, $cost] = $this->laidOut($bars, $length, $intro);
                if ($cost < $least - 1e-9) {
                    [$best, $least] = [$blocks, $cost];
                }
            }
        }

        return $best !== [] || $bars === [] ? $best : [new Block(0, 0, count($bars))];
    }

    /**
     * @param list<list<string>> $bars
     *
     * @return array{list<Block>, float}
     */
    private function laidOut(array $bars, int $length, int $intro): array
    {
        $blocks = $intro === 0 ? [] : [new Block(0, 0, $intro)];
        $models = $intro === 0 ? [] : [null];
        $cost = ($intro === 0 ? 0.0 : $intro + self::A_SECTION + 1) + (in_array($length, self::USUAL, true) ? 0.0 : self::UNUSUAL);
        for ($from = $intro; $from < count($bars); $from += $length) {
            $own = array_slice($bars, $from, $length);
            [$section, $differs] = self::nearest($own, $models);
            if ($section === null) {
                $section = count($models);
                $models[] = $own;
                $cost += count($own) + self::A_SECTION;
            }
            $blocks[] = new Block($section, $from, count($own));
            $cost += 1 + self::A_DIFFERENCE * $differs;
        }

        return [$blocks, $cost];
    }

    /**
     * @param list<list<string>>        $own
     * @param list<?list<list<string>>> $models
     *
     * @return array{?int, float} the section it is a time of, null where it is none; and how many of its bars differ
     */
    private static function nearest(array $own, array $models): array
    {
        $found = null;
        $least = self::SAME * count($own);
        foreach ($models as $section => $model) {
            if ($model === null || count($model) !== count($own)) {
                continue;
            }
            $differ = array_sum(array_map(self::apart(...), $own, $model));
            if ($differ <= $least) {
                [$found, $least] = [$section, $differ];
            }
        }

        return [$found, $found === null ? 0.0 : $least];
    }

    /**
     * @param list<string> $one
     * @param list<string> $other
     *
     * @return float 0 for the same, 1 for nothing in common
     */
    private static function apart(array $one, array $other): float
    {
        $same = count(array_intersect_assoc($one, $other));

        return 1 - $same / max(1, count($one), count($other));
    }
}
