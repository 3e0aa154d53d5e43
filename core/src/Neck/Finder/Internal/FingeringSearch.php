<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder\Internal;

use Gravik\Neck\Grip\Barre;
use Gravik\Neck\HandProfile;

/**
 * The easiest way to finger a grip: every run is taken by one finger (a barre) or by a finger each, fingers rise with
 * the frets, and all such plans are compared; where the hand can, the thumb may take the lowest strings from above. The cost
 * is in the same unit as the grip's difficulty (a heuristic).
 *
 * @internal VoicingFinder is the door
 */
final readonly class FingeringSearch
{
    private const PER_FINGER = 0.25;

    private const LITTLE_FINGER = 0.15;

    private const STRETCH_PER_FRET = 0.45;

    private const CROWDED = 0.15;

    /** Extra cost of a barre by finger 1 to 4. */
    private const BARRE = [1 => 0.5, 2 => 1.6, 3 => 0.9, 4 => 1.3];

    private const BARRE_PER_STRING = 0.12;

    /** Two fingers at one fret with a higher fret held between them: the hand would have to reach round itself. */
    private const ROUND_ITSELF = 1.2;

    private const THUMB = 0.3;

    /** The thumb comes round the neck opposite the first finger: so many frets above it at the most. */
    private const THUMB_AHEAD = 1;

    private const THUMB_STRINGS = 2;

    /**
     * @param list<int|null> $frets low to high
     * @param bool           $bare  whether one finger may hold two strings and leave one between them silent, which no hand can
     *
     * @return array{fingers: list<int|null>, barres: list<Barre>, cost: float}|null null when this hand cannot do it
     */
    public function easiest(array $frets, HandProfile $hand = new HandProfile(), bool $bare = false): ?array
    {
        $best = $this->withFingers($frets, $hand, $bare);
        foreach ($hand->thumb ? self::underTheThumb($frets) : [] as $strings) {
            $rest = $frets;
            foreach ($strings as $string) {
                $rest[$string] = null;
            }
            $fingered = $this->withFingers(array_values($rest), $hand, $bare);
            $cost = ($fingered['cost'] ?? INF) + self::THUMB;
            if ($fingered !== null && ($best === null || $cost < $best['cost'] - 1e-9)) {
                $fingers = $fingered['fingers'];
                foreach ($strings as $string) {
                    $fingers[$string] = HandProfile::THUMB;
                }
                $best = ['fingers' => array_values($fingers), 'barres' => $fingered['barres'], 'cost' => $cost];
            }
        }

        return $best;
    }

    /**
     * @param list<int|null> $frets
     *
     * @return array{fingers: list<int|null>, barres: list<Barre>, cost: float}|null
     */
    private function withFingers(array $frets, HandProfile $hand, bool $bare): ?array
    {
        $runs = $bare ? FingerRuns::of($frets)->runs : FingerRuns::of($frets)->brokenByMuted($frets);
        $best = null;
        foreach (self::plans($runs, $hand) as $presses) {
            $count = count($presses);
            foreach (self::choices($count) as $fingers) {
                if ($hand->avoid !== [] && array_intersect($fingers, $hand->avoid) !== []) {
                    continue;
                }
                $cost = self::cost($presses, $fingers) + self::ROUND_ITSELF * self::roundItself($presses);
                if ($best === null || $cost < $best[0] - 1e-9) {
                    $best = [$cost, $presses, $fingers];
                }
            }
        }
        if ($best === null) {
            return null;
        }

        return self::applied($frets, $best[1], $best[2]) + ['cost' => $best[0]];
    }

    /**
     * @param list<int|null> $frets
     *
     * @return list<non-empty-list<int>> the strings (0 = lowest) that the thumb could take together
     */
    private static function underTheThumb(array $frets): array
    {
        $choices = [];
        for ($count = 1; $count <= self::THUMB_STRINGS; $count++) {
            $taken = array_slice($frets, 0, $count);
            $others = array_filter(array_slice($frets, $count), static fn (?int $fret): bool => $fret !== null && $fret > 0);
            $fret = $taken[0] ?? 0;
            if ($fret > 0 && array_unique($taken) === [$fret] && ($others === [] || $fret <= min($others) + self::THUMB_AHEAD)) {
                $choices[] = range(0, $count - 1);
            }
        }

        return $choices;
    }

    /**
     * No fingering of these frets costs less: strings at one fret take a finger each, or at best one barre by the first finger.
     *
     * @param list<int|null> $frets
     */
    public function atLeast(array $frets, HandProfile $hand = new HandProfile()): float
    {
        if ($hand->thumb) {
            // The thumb spares the fingers at most the two lowest strings.
            $frets = array_slice($frets, self::THUMB_STRINGS);
        }
        $strings = [];
        foreach ($frets as $fret) {
            if ($fret !== null && $fret > 0) {
                $strings[$fret] = ($strings[$fret] ?? 0) + 1;
            }
        }
        $cost = 0.0;
        foreach ($strings as $count) {
            $cost += min(self::PER_FINGER * $count, self::PER_FINGER + self::BARRE[1] + self::BARRE_PER_STRING * ($count - 1));
        }

        return $cost;
    }

    /**
     * @param list<array{fret: int, strings: non-empty-list<int>}> $runs
     *
     * @return list<list<array{int, non-empty-list<int>}>> each plan a list of presses [fret, strings], at most four
     */
    private static function plans(array $runs, HandProfile $hand): array
    {
        $plans = [[]];
        foreach ($runs as $run) {
            $grown = [];
            foreach ($plans as $plan) {
                if ($hand->barre || count($run['strings']) === 1) {
                    $grown[] = [...$plan, [$run['fret'], $run['strings']]];
                }
                if (count($run['strings']) > 1) {
                    $grown[] = [...$plan, ...array_map(static fn (int $string): array => [$run['fret'], [$string]], $run['strings'])];
                }
            }
            $plans = $grown;
        }

        return array_values(array_filter($plans, static fn (array $plan): bool => count($plan) <= 4));
    }

    /** @return list<list<int>> rising choices of so many fingers out of four */
    private static function choices(int $count): array
    {
        return match ($count) {
            0 => [[]],
            1 => [[1], [2], [3], [4]],
            2 => [[1, 2], [1, 3], [2, 3], [1, 4], [2, 4], [3, 4]],
            3 => [[1, 2, 3], [1, 2, 4], [1, 3, 4], [2, 3, 4]],
            default => [[1, 2, 3, 4]],
        };
    }

    /**
     * @param list<array{int, non-empty-list<int>}> $presses
     * @param list<int>                             $fingers
     */
    private static function cost(array $presses, array $fingers): float
    {
        $cost = self::PER_FINGER * count($presses);
        foreach ($presses as $place => [$fret, $strings]) {
            $finger = $fingers[$place];
            $cost += 0.02 * ($finger - $place - 1);
            $cost += $finger === 4 ? self::LITTLE_FINGER : 0.0;
            if (count($strings) > 1) {
                $cost += self::BARRE[$finger] + self::BARRE_PER_STRING * (end($strings) - $strings[0]);
            }
            if ($place > 0) {
                $apart = $fret - $presses[$place - 1][0];
                $natural = $finger - $fingers[$place - 1];
                $cost += $apart > $natural ? self::STRETCH_PER_FRET * ($apart - $natural) : self::CROWDED * ($natural - $apart);
            }
        }

        return $cost;
    }

    /**
     * @param list<array{int, non-empty-list<int>}> $presses
     *
     * @return int pairs of presses at one fret that have a press at a higher fret between them
     */
    private static function roundItself(array $presses): int
    {
        $pairs = 0;
        foreach ($presses as $place => [$fret, $strings]) {
            foreach (array_slice($presses, $place + 1) as [$other, $others]) {
                $between = array_filter(
                    $presses,
                    static fn (array $press): bool => $press[0] > $fret
                        && min($press[1]) > min($strings[0], $others[0])
                        && max($press[1]) < max(end($strings), end($others)),
                );
                $pairs += $other === $fret && $between !== [] ? 1 : 0;
            }
        }

        return $pairs;
    }

    /**
     * @param list<int|null>                        $frets
     * @param list<array{int, non-empty-list<int>}> $presses
     * @param list<int>                             $fingers
     *
     * @return array{fingers: list<int|null>, barres: list<Barre>}
     */
    private static function applied(array $frets, array $presses, array $fingers): array
    {
        $count = count($frets);
        $taken = array_map(static fn (?int $fret): ?int => $fret === null ? null : 0, $frets);
        $barres = [];
        foreach ($presses as $place => [$fret, $strings]) {
            foreach ($strings as $string) {
                $taken[$string] = $fingers[$place];
            }
            if (count($strings) > 1) {
                $barres[] = new Barre($fret, $count - $strings[0], $count - end($strings));
            }
        }

        return ['fingers' => array_values($taken), 'barres' => $barres];
    }
}
