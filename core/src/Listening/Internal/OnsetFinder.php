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
    private const SHARE_OF_USUAL = 0.12;

    private const LEAST_FLUX = 0.09;

    private const MOST_FLUX = 0.4;

    /** … or so many nepers of rise in the high band, which alone are never enough. */
    private const WHOLE_RISE = 4.0;

    private const RISE_AT_MOST = 0.5;

    /** A step of this share of the peak, within one sweep before it, is where the sweep began. */
    private const BEGAN = 0.4;

    private const BEGAN_LEAST = 0.6;

    /** With less than this share of the usual, something has to be different afterwards: nepers of a band's energy. */
    private const PLAIN = 0.35;

    private const CHANGES = 0.4;

    private const SLOW_ATTACK = 7;

    /** Share of the attack's energy above what sounded before. */
    private const AUDIBLE = 0.04;

    /** In noise something new comes all the time: there the usual is not far above the median. */
    private const ABOVE_NOISE = 3.0;

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

    /** @var list<float> the energy in which attacks show: the high band, and a little of the middle one */
    private array $attacks;

    public function __construct(private Envelopes $envelopes)
    {
        $this->attacks = array_map(static fn (float $high, float $middle): float => $high + 0.1 * $middle, $envelopes->high, $envelopes->middle);
    }

    /** @return list<array{frame: int, score: float}> begin in ms, and how much begins there against what usually does */
    public function find(): array
    {
        $rises = $this->rises();
        $flux = Flux::of($this->envelopes);
        $sorted = $flux;
        sort($sorted);
        $usual = $sorted[(int) (0.98 * (count($sorted) - 1))] ?? 0.0;
        if ($usual < self::ABOVE_NOISE * ($sorted[intdiv(count($sorted), 2)] ?? 0.0)) {
            return [];
        }
        $whole = max(self::LEAST_FLUX, min(self::MOST_FLUX, self::SHARE_OF_USUAL * $usual));
        $step = Flux::STEP_MS;
        $scores = [];
        foreach ($flux as $number => $new) {
            $rise = max([0.0, ...array_slice($rises, max(0, ($number - 1) * $step), 2 * $step)]);
            $scores[] = $new / $whole + min(self::RISE_AT_MOST, $rise / self::WHOLE_RISE);
        }
        $found = [];
        for ($number = 1, $last = count($scores) - 1; $number < $last; $number++) {
            if ($scores[$number] < self::BEGINS || $scores[$number] < $scores[$number - 1] || $scores[$number] <= $scores[$number + 1]) {
                continue;
            }
            $before = count($found) - 1;
            $frame = $this->begin($rises, $scores, $number, $before < 0 ? 0 : $found[$before]['frame'] + self::SWEEP);
            if ($before >= 0 && $frame - $found[$before]['frame'] < self::SWEEP) {
                continue;
            }
            if ($flux[$number] >= self::PLAIN * $usual || $this->changes($frame)) {
                $found[] = ['frame' => $frame, 'score' => $flux[$number] / max(1e-9, $usual)];
            }
        }

        return $this->loudEnough($found);
    }

    /**
     * Where around a step the energy rises most; where a sweep began before its loudest string, there.
     *
     * @param list<float> $rises
     * @param list<float> $scores
     * @param int         $earliest frame
     */
    private function begin(array $rises, array $scores, int $number, int $earliest): int
    {
        $step = Flux::STEP_MS;
        $first = $number;
        for ($back = $number - 1; $back >= 0 && ($number - $back) * $step <= self::SWEEP && $back * $step >= $earliest; $back--) {
            if ($scores[$back] >= self::BEGAN * $scores[$number] && $scores[$back] >= self::BEGAN_LEAST) {
                $first = $back;
            }
        }
        $around = $first * $step;
        $best = max(0, $around - 4);
        for ($frame = max(0, $around - 14, $earliest); $frame <= $around + 9 && isset($rises[$frame]); $frame++) {
            if ($rises[$frame] > $rises[$best]) {
                $best = $frame;
            }
        }
        // An attack that takes its time rises most when it is half over: it began where it left what sounded before.
        $before = self::average($this->attacks, $best - 14, $best - self::SLOW_ATTACK);
        $left = $before + self::AUDIBLE * (max(0.0, ...array_slice($this->attacks, $best, 8)) - $before);
        $begin = $best;
        while ($begin > max($best - self::SLOW_ATTACK, $earliest, 0) && $this->attacks[$begin - 1] > $left) {
            $begin--;
        }

        return $begin;
    }

    /** Whether what sounds is another after this moment than before it: a click over a ringing chord leaves it as it was. */
    private function changes(int $frame): bool
    {
        foreach ([$this->envelopes->low, $this->envelopes->middle, $this->envelopes->high] as $energy) {
            $floor = 1e-3 * max(1e-12, ...array_slice($energy, max(0, $frame - 200), 400));
            $before = self::average($energy, $frame - 24, $frame - 4) + $floor;
            $after = self::average($energy, $frame + 26, $frame + 46) + $floor;
            if (abs(log($after / $before)) >= self::CHANGES) {
                return true;
            }
        }

        return false;
    }

    /** @param list<float> $energy */
    private static function average(array $energy, int $from, int $to): float
    {
        $span = array_slice($energy, max(0, $from), max(1, $to - max(0, $from)));

        return $span === [] ? 0.0 : array_sum($span) / count($span);
    }

    /** @return list<float> how much each frame rises above those before, in nepers of energy */
    private function rises(): array
    {
        $sums = self::sums($this->attacks);
        $floor = self::FLOOR * self::loud($this->attacks) + 1e-12;
        $rises = [];
        foreach ($this->attacks as $frame => $_) {
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
