<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Lock\Matcher;
use Gravik\Listening\Lock\Matching;

/**
 * Matches in two goes: what is sure says where the player was, and what hardly stood out of the sound fills planned places that
 * are left, close by alone. So a light stroke is not lost, and what was none leads nobody astray.
 *
 * @internal used by LockReporter
 */
final readonly class FaintStrokes
{
    /** Seconds from where the player was looked for (set on takes made in several ways). */
    private const NEAR = 0.045;

    /** A share of the strokes that were met. */
    private const FAINTEST = 0.1;

    public function __construct(private Matcher $matcher) {}

    /**
     * @param list<float> $planned
     * @param list<float> $played
     * @param list<float> $plain   of each that was played: nepers by which it stood out farther than a stroke must
     * @param float       $gap     the smallest of the plan, seconds
     * @param float       $beat    seconds
     */
    public function match(array $planned, array $played, array $plain, float $gap, float $beat): Matching
    {
        $own = array_keys(array_filter($plain, static fn (float $each): bool => $each >= 0));
        $first = $this->matcher->match($planned, array_map(static fn (int $place): float => $played[$place], $own), $gap, $beat);
        $pairs = array_map(static fn (int $place): int => $own[$place], $first->pairs);
        $faint = array_keys(array_filter($plain, static fn (float $each): bool => $each < 0));
        $missed = [];
        foreach ($first->missed as $index) {
            $best = null;
            $least = self::NEAR;
            foreach ($faint as $key => $stroke) {
                $off = abs($played[$stroke] - $planned[$index] - $first->shifts[$index]);
                if ($off <= $least) {
                    [$best, $least] = [$key, $off];
                }
            }
            if ($best === null) {
                $missed[] = $index;

                continue;
            }
            $pairs[$index] = $faint[$best];
            unset($faint[$best]);
        }
        ksort($pairs);
        // What was faint and met nothing was most likely nothing, and so was what stood out less than almost all that was met.
        $met = array_map(static fn (int $place): float => $plain[$own[$place]], array_values($first->pairs));
        sort($met);
        $least = $met[(int) (self::FAINTEST * count($met))] ?? 0.0;
        $extra = array_values(array_filter(
            array_map(static fn (int $place): int => $own[$place], $first->extra),
            static fn (int $place): bool => $plain[$place] >= $least,
        ));

        return new Matching($pairs, $missed, $extra, $first->shifts);
    }
}
