<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

/**
 * Finds where strums begin: where something new comes into the spectrum, and where the high band rises against the
 * milliseconds before. What begins within one sweep of the pick is one onset; what lies far below the strokes (a click, a
 * band that bleeds in) is left out. Its figures were set on takes made in several ways, see docs/decisions.
 *
 * @internal used by StrokeListener
 */
final readonly class OnsetFinder
{
    /** What counts as a whole beginning: this share of what the loud strokes bring anew (see Flux), within limits … */
    private const SHARE_OF_USUAL = 0.18;

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

    /** Quantiles: the loud moments, and the usual stroke. */
    private const LOUD = 0.98;

    private const USUAL_STROKE = 0.6;

    /** The attack in which a stroke's energy is taken, ms. */
    private const ATTACK = 25;

    /** The energy in which attacks show: the high band, and a little of the middle one. */
    private Series $attacks;

    public function __construct(private Envelopes $envelopes)
    {
        $this->attacks = new Series(array_map(static fn (float $high, float $middle): float => $high + 0.1 * $middle, $envelopes->high, $envelopes->middle));
    }

    /** @return list<int> where each strum begins, ms */
    public function find(): array
    {
        $rises = $this->rises();
        $flux = Flux::of($this->envelopes);
        $usual = $flux->quantile(self::LOUD);
        if ($usual < self::ABOVE_NOISE * $flux->quantile(0.5)) {
            return [];
        }
        $whole = max(self::LEAST_FLUX, min(self::MOST_FLUX, self::SHARE_OF_USUAL * $usual));
        $step = Flux::STEP_MS;
        $scores = [];
        foreach ($flux->values as $number => $new) {
            $rise = max([0.0, ...array_slice($rises, max(0, ($number - 1) * $step), 2 * $step)]);
            $scores[] = $new / $whole + min(self::RISE_AT_MOST, $rise / self::WHOLE_RISE);
        }
        $found = [];
        for ($number = 1, $last = count($scores) - 1; $number < $last; $number++) {
            if ($scores[$number] < self::BEGINS || $scores[$number] < $scores[$number - 1] || $scores[$number] <= $scores[$number + 1]) {
                continue;
            }
            $earliest = $found === [] ? 0 : $found[count($found) - 1] + self::SWEEP;
            $frame = $this->begin($rises, $scores, $number, $earliest);
            if ($frame >= $earliest && ($flux->values[$number] >= self::PLAIN * $usual || $this->changes($frame))) {
                $found[] = $frame;
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
        $before = $this->attacks->mean($best - 2 * self::SLOW_ATTACK, $best - self::SLOW_ATTACK);
        $left = $before + self::AUDIBLE * ($this->attacks->loudest($best, $best + self::SLOW_ATTACK + 1) - $before);
        $begin = $best;
        while ($begin > max($best - self::SLOW_ATTACK, $earliest, 0) && $this->attacks->values[$begin - 1] > $left) {
            $begin--;
        }

        return $begin;
    }

    /** Whether what sounds is another after this moment than before it: a click over a ringing chord leaves it as it was. */
    private function changes(int $frame): bool
    {
        foreach ($this->envelopes->bands() as $band) {
            $floor = 1e-3 * $band->loudest($frame - 200, $frame + 200) + 1e-15;
            if (abs(log(($band->mean($frame + 26, $frame + 46) + $floor) / ($band->mean($frame - 24, $frame - 4) + $floor))) >= self::CHANGES) {
                return true;
            }
        }

        return false;
    }

    /** @return list<float> how much each frame rises above those before, in nepers of energy */
    private function rises(): array
    {
        $floor = self::FLOOR * $this->attacks->quantile(self::LOUD) + 1e-12;
        $rises = [];
        foreach ($this->attacks->values as $frame => $_) {
            $rises[] = log(($this->attacks->mean($frame, $frame + self::AFTER) + $floor) / ($this->attacks->mean($frame - self::GAP - self::BEFORE, $frame - self::GAP) + $floor));
        }

        return $rises;
    }

    /**
     * @param list<int> $found
     *
     * @return list<int>
     */
    private function loudEnough(array $found): array
    {
        $total = $this->envelopes->total();
        $after = array_map(static fn (int $frame): float => $total->mean($frame, $frame + self::ATTACK), $found);
        $least = self::FAINT * (new Series($after))->quantile(self::USUAL_STROKE);

        return array_values(array_filter($found, static fn (int $frame, int $place): bool => $after[$place] >= $least, ARRAY_FILTER_USE_BOTH));
    }
}
