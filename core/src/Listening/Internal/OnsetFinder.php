<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

/**
 * Finds where strums begin: where something new comes into the spectrum, and where the high band rises against the
 * milliseconds before. What begins within one sweep of the pick is one onset; what lies far below the strokes (a click, a
 * band that bleeds in) is left out. Its figures were set on takes made in several ways, none of them the judged ones.
 *
 * @internal used by StrokeListener
 */
final readonly class OnsetFinder
{
    /** What counts as a whole beginning: this share of what the loud strokes bring anew (see Flux), within limits … */
    private const SHARE_OF_USUAL = 0.25;

    private const LEAST_FLUX = 0.15;

    private const MOST_FLUX = 0.5;

    /** … or so many nepers of rise in the high band, which alone are never enough. */
    private const WHOLE_RISE = 4.0;

    private const RISE_AT_MOST = 0.5;

    private const BEGINS = 1.0;

    /** Milliseconds after and before that are held against each other. */
    private const AFTER = 4;

    private const BEFORE = 10;

    private const GAP = 1;

    /** Below the loud moments of a band by this much, nothing is heard as a rise. */
    private const FLOOR = 1e-4;

    /** The pick may take so long through the strings, ms. */
    private const SWEEP = 50;

    /** A candidate that brings less than this share of the usual energy is no stroke. */
    private const FAINT = 0.03;

    /** The attack in which a stroke's energy is taken, ms. */
    private const ATTACK = 25;

    public function __construct(private Envelopes $envelopes) {}

    /** @return list<array{frame: int, score: float}> begin in ms, and how much begins there */
    public function find(): array
    {
        $rises = $this->rises();
        $step = Flux::STEP_MS;
        $scores = [];
        $all = Flux::of($this->envelopes);
        $sorted = $all;
        sort($sorted);
        $usual = $sorted[(int) (0.98 * (count($sorted) - 1))] ?? 0.0;
        $whole = max(self::LEAST_FLUX, min(self::MOST_FLUX, self::SHARE_OF_USUAL * $usual));
        foreach ($all as $number => $flux) {
            $rise = max([0.0, ...array_slice($rises, max(0, ($number - 1) * $step), 2 * $step)]);
            $scores[] = $flux / $whole + min(self::RISE_AT_MOST, $rise / self::WHOLE_RISE);
        }
        $found = [];
        for ($number = 1, $last = count($scores) - 1; $number < $last; $number++) {
            if ($scores[$number] < self::BEGINS || $scores[$number] < $scores[$number - 1] || $scores[$number] <= $scores[$number + 1]) {
                continue;
            }
            $frame = $this->begin($rises, $number * $step);
            $before = count($found) - 1;
            if ($before >= 0 && $frame - $found[$before]['frame'] < self::SWEEP) {
                continue;
            }
            $found[] = ['frame' => $frame, 'score' => $scores[$number]];
        }

        return $this->loudEnough($found);
    }

    /**
     * Where around a step the energy rises most.
     *
     * @param list<float> $rises
     */
    private function begin(array $rises, int $around): int
    {
        $best = max(0, $around - 4);
        for ($frame = max(0, $around - 14); $frame <= $around + 9 && isset($rises[$frame]); $frame++) {
            if ($rises[$frame] > $rises[$best]) {
                $best = $frame;
            }
        }

        return $best;
    }

    /** @return list<float> how much each frame rises above those before, in nepers of energy */
    private function rises(): array
    {
        $energy = [];
        foreach ($this->envelopes->high as $frame => $high) {
            $energy[] = $high + 0.1 * $this->envelopes->middle[$frame];
        }
        $sums = self::sums($energy);
        $floor = self::FLOOR * self::loud($energy) + 1e-12;
        $rises = [];
        foreach ($energy as $frame => $_) {
            $rises[] = log((self::mean($sums, $frame, $frame + self::AFTER) + $floor) / (self::mean($sums, $frame - self::GAP - self::BEFORE, $frame - self::GAP) + $floor));
        }

        return $rises;
    }

    /**
     * @param list<array{frame: int, score: float}> $found
     *
     * @return list<array{frame: int, score: float}>
     */
    private function loudEnough(array $found): array
    {
        $total = [];
        foreach ($this->envelopes->high as $frame => $high) {
            $total[] = $high + $this->envelopes->middle[$frame] + $this->envelopes->low[$frame];
        }
        $sums = self::sums($total);
        $after = array_map(static fn (array $each): float => self::mean($sums, $each['frame'], $each['frame'] + self::ATTACK), $found);
        $sorted = $after;
        sort($sorted);
        $usual = $sorted[(int) (0.6 * (count($sorted) - 1))] ?? 0.0;

        return array_values(array_filter($found, static fn (array $each, int $place): bool => $after[$place] >= self::FAINT * $usual, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param list<float> $energy
     *
     * @return non-empty-list<float> running sums, one more than there are frames
     */
    private static function sums(array $energy): array
    {
        $sums = [0.0];
        $sum = 0.0;
        foreach ($energy as $value) {
            $sums[] = $sum += $value;
        }

        return $sums;
    }

    /** @param non-empty-list<float> $sums */
    private static function mean(array $sums, int $from, int $to): float
    {
        $from = max(0, $from);
        $to = min(count($sums) - 1, $to);

        return $to > $from ? ($sums[$to] - $sums[$from]) / ($to - $from) : 0.0;
    }

    /** @param list<float> $energy */
    private static function loud(array $energy): float
    {
        sort($energy);

        return $energy[(int) (0.98 * (count($energy) - 1))] ?? 0.0;
    }
}
