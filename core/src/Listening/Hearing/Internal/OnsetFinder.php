<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * Finds where strums begin: where enough comes anew into the sound, and there, to the millisecond, where the high band rises
 * against what came before. What begins within one sweep of the pick is one onset; what leaves the sound as it was, or lies
 * far below the strokes (a click, a band that bleeds in), is left out. Its figures were set on takes made in several ways,
 * see docs/decisions.
 *
 * @internal used by StrokeListener
 */
final readonly class OnsetFinder
{
    /** Peaks from this share of what a loud stroke brings are looked at; of those within so many steps the greatest. */
    private const LOOKED_AT = 0.05;

    private const APART = 7;

    /**
     * How much comes anew counts in nepers, so that a light stroke is weighed by how far it stands out and not by how loud others
     * are; below this share all is nothing.
     */
    private const NOTHING = 0.02;

    /** That another sound is left behind counts beside it, in the moment just ahead of the peak, ms: a clear change carries a weak beginning. */
    private const CHANGE_COUNTS = 0.19;

    private const CHANGE_AT_MOST = 5.0;

    private const AHEAD = 8;

    /** About so much in all, in nepers, is a beginning: in each recording, where there are fewest peaks within these limits. */
    private const BEGINS = -1.2;

    private const BEGINS_LEAST = -1.45;

    private const BEGINS_MOST = -0.9;

    private const BEGINS_STEP = 0.06;

    /** Peaks so many nepers around count, the more the nearer; and a neper from the usual costs so much of all peaks. */
    private const NEAR = 0.12;

    private const UNUSUAL = 0.03;

    /** What lies no farther below that, in nepers, may be one: it is told where nothing surer is near. */
    private const MAY_BE = 0.6;

    /** A step of this share of the peak, and so much at least, within one sweep before it, is where the sweep began. */
    private const BEGAN = 0.4;

    private const BEGAN_LEAST = 0.24;

    /** A band that rises by so many nepers of energy, or falls by so many more than it was falling, is different. */
    private const RISES = 0.3;

    private const FALLS = 1.5;

    /** What rings on goes on falling a little faster than before, and by this much at most. */
    private const FALLS_FASTER = 1.25;

    private const FALLS_BY_ITSELF = 1.0;

    private const SLOW_ATTACK = 7;

    /** Share of the attack's energy above what sounded before. */
    private const AUDIBLE = 0.04;

    /** Milliseconds after and before that are held against each other. */
    private const AFTER = 4;

    private const BEFORE = 10;

    private const GAP = 1;

    /** Below the loud moments of a band by this much, nothing is heard as a rise. */
    private const FLOOR = 1e-4;

    /** The pick takes no longer through the strings, ms; what begins within that is the same strum. */
    private const SWEEP = 62;

    /** An attack is as sharp as the greatest rise so many ms around its beginning. */
    private const SHARP_BEFORE = 3;

    private const SHARP_AFTER = 13;

    /** A candidate that brings less than this share of the usual energy is no stroke. */
    private const FAINT = 0.01;

    /** Quantiles: the loud moments, and the usual stroke. */
    private const LOUD = 0.98;

    private const USUAL_STROKE = 0.6;

    /** The attack in which a stroke's energy is taken, ms. */
    private const ATTACK = 25;

    /** The energy in which attacks show: the high band, and a little of the middle one. */
    private Series $attacks;

    public function __construct(private Envelopes $envelopes)
    {
        $this->attacks = new Series(array_map(
            static fn (float $high, float $middle): float => $high + 0.1 * $middle,
            $envelopes->high,
            $envelopes->middle,
        ));
    }

    /** @return list<Onset> where each strum begins, and where one may have begun that hardly stands out */
    public function find(): array
    {
        $novelty = Novelty::of($this->envelopes)?->values;
        if ($novelty === null) {
            return [];
        }
        $peaks = [];
        foreach (self::peaks($novelty) as $number) {
            $peaks[$number] = log($novelty[$number] + self::NOTHING)
                + self::CHANGE_COUNTS * min(self::CHANGE_AT_MOST, $this->change($number * Novelty::STEP_MS - self::AHEAD));
        }
        $begins = self::between($peaks);
        $rises = $this->rises();
        $found = [];
        foreach ($peaks as $number => $score) {
            $earliest = $found === [] ? 0 : $found[count($found) - 1] + self::SWEEP;
            if ($score >= $begins && ($frame = $this->begin($rises, $novelty, $number, $earliest)) >= $earliest) {
                $found[] = $frame;
            }
        }
        $sure = array_fill_keys($this->loudEnough($found), true);
        $all = $sure;
        foreach ($peaks as $number => $score) {
            $frame = $score < $begins && $score >= $begins - self::MAY_BE ? $this->begin($rises, $novelty, $number, 0) : -1;
            if ($frame >= 0 && self::isAlone($frame, $all)) {
                $all[$frame] = false;
            }
        }
        ksort($all);

        return array_map(
            static fn (int $frame, bool $sure): Onset => new Onset(
                $frame,
                max([0.0, ...array_slice($rises, max(0, $frame - self::SHARP_BEFORE), self::SHARP_BEFORE + self::SHARP_AFTER)]),
                $sure,
            ),
            array_keys($all),
            $all,
        );
    }

    /** @param array<int, bool> $others by frame */
    private static function isAlone(int $frame, array $others): bool
    {
        foreach (array_keys($others) as $other) {
            if (abs($other - $frame) < self::SWEEP) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<float> $novelty
     *
     * @return list<int> steps that bring more than those around them
     */
    private static function peaks(array $novelty): array
    {
        $peaks = [];
        foreach ($novelty as $number => $new) {
            if ($new >= self::LOOKED_AT && $new >= max(
                $new,
                ...array_slice($novelty, max(0, $number - self::APART), 2 * self::APART + 1),
            )) {
                $peaks[] = $number;
            }
        }

        return $peaks;
    }

    /**
     * From where on a peak is a beginning: where there are fewest, between those of the strokes and the smaller ones of what
     * wavers as it rings.
     *
     * @param array<int, float> $peaks step => how much it brings, in nepers
     */
    private static function between(array $peaks): float
    {
        $best = self::BEGINS;
        $fewest = INF;
        for ($least = self::BEGINS_LEAST; $least <= self::BEGINS_MOST; $least += self::BEGINS_STEP) {
            $near = array_sum(array_map(
                static fn (float $peak): float => exp(-(($peak - $least) / self::NEAR) ** 2 / 2),
                $peaks,
            )) / max(1, count($peaks));
            $cost = $near + self::UNUSUAL * abs($least - self::BEGINS);
            if ($cost < $fewest) {
                [$fewest, $best] = [$cost, $least];
            }
        }

        return $best;
    }

    /**
     * Where around a step the energy rises most; where a sweep began before its loudest string, there.
     *
     * @param list<float> $rises
     * @param list<float> $novelty
     * @param int         $earliest frame
     */
    private function begin(array $rises, array $novelty, int $number, int $earliest): int
    {
        $step = Novelty::STEP_MS;
        $first = $number;
        for ($back = $number - 1; $back >= 0 && ($number - $back) * $step <= self::SWEEP && $back * $step >= $earliest; $back--) {
            if ($novelty[$back] >= self::BEGAN * $novelty[$number] && $novelty[$back] >= self::BEGAN_LEAST) {
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

    /**
     * How much another sound stands after this moment than before it: a click over a ringing chord leaves it as it was, and
     * what only dies away goes on as it did. Each band counts in units of a change that is plain.
     */
    private function change(int $frame): float
    {
        $change = 0.0;
        foreach ($this->envelopes->bands() as $band) {
            $floor = 1e-3 * $band->loudest($frame - 200, $frame + 200) + 1e-15;
            $before = $band->mean($frame - 24, $frame - 4) + $floor;
            $falling = max(
                -self::FALLS_BY_ITSELF,
                min(0.0, self::FALLS_FASTER * log($before / ($band->mean($frame - 64, $frame - 44) + $floor))),
            );
            $nepers = log(($band->mean($frame + 26, $frame + 46) + $floor) / $before);
            $change += $nepers >= 0 ? $nepers / self::RISES : max(0.0, $falling - $nepers) / self::FALLS;
        }

        return $change;
    }

    /** @return list<float> how much each frame rises above those before, in nepers of energy */
    private function rises(): array
    {
        $floor = self::FLOOR * $this->attacks->quantile(self::LOUD) + 1e-12;
        $rises = [];
        foreach ($this->attacks->values as $frame => $_) {
            $rises[] = log(($this->attacks->mean($frame, $frame + self::AFTER) + $floor) / ($this->attacks->mean(
                $frame - self::GAP - self::BEFORE,
                $frame - self::GAP,
            ) + $floor));
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

        return array_values(array_filter(
            $found,
            static fn (int $frame, int $place): bool => $after[$place] >= $least,
            ARRAY_FILTER_USE_BOTH,
        ));
    }
}
