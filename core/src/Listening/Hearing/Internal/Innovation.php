<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * What the sound so far does not foretell. Strings that ring go on as they did, each sample a fixed mixture of those before it
 * (linear prediction by the autocorrelation method, Levinson's recursion); a string that is struck breaks that off to the
 * millisecond, however loud the others ring on, and so does a light stroke that takes the place of a loud one.
 *
 * @internal used by OnsetFinder
 */
final class Innovation
{
    private const ORDER = 16;

    /** Seconds of sound by which the next are foretold, and for how many. */
    private const WINDOW = 0.024;

    private const AHEAD = 0.02;

    /** Samples a second that are enough; twice as many are halved. */
    private const ENOUGH = 9000;

    /** So much noise is always assumed, as a share of the energy and as energy: nothing is foretold better than that. */
    private const NOISE = 1e-6;

    private const LEAST_NOISE = 1e-9;

    /** @return Series energy of what was not foretold, one figure a millisecond */
    public static function of(Envelopes $envelopes): Series
    {
        $every = max(1, (int) ($envelopes->slowRate / self::ENOUGH));
        $rate = $envelopes->slowRate / $every;
        $frames = $envelopes->frames();
        $window = (int) round(self::WINDOW * $rate);
        $ahead = (int) round(self::AHEAD * $rate);
        $shape = array_map(static fn (int $i): float => 0.5 - 0.5 * cos(2 * M_PI * ($i + 0.5) / $window), range(0, $window - 1));
        $sums = array_fill(0, $frames, 0.0);
        $aMillisecond = $rate / Envelopes::FRAMES_A_SECOND;
        for ($at = 0, $last = (int) ($frames * $aMillisecond) - $ahead; $at < $last; $at += $ahead) {
            $samples = self::samples($envelopes, ($at - $window) / $rate, $window + $ahead, $every);
            $mixture = self::mixture($samples, $shape);
            for ($i = $window, $end = $window + $ahead; $i < $end; $i++) {
                $off = $samples[$i];
                $earlier = $i;
                foreach ($mixture as $share) {
                    $off += $share * $samples[--$earlier];
                }
                $sums[min($frames - 1, (int) (($at + $i - $window) / $aMillisecond))] += $off * $off;
            }
        }

        return new Series(array_map(static fn (float $sum): float => $sum / $aMillisecond, array_values($sums)));
    }

    /**
     * @param positive-int $every
     *
     * @return list<float>
     */
    private static function samples(Envelopes $envelopes, float $from, int $count, int $every): array
    {
        $samples = $envelopes->slow($from, $count * $every);
        if ($every === 1) {
            return $samples;
        }
        $fewer = [];
        foreach (array_chunk($samples, $every) as $few) {
            $fewer[] = array_sum($few) / $every;
        }

        return $fewer;
    }

    /**
     * @param list<float> $samples
     * @param list<float> $shape   of the window at their beginning
     *
     * @return array<int, float> samples back => share that is added to what comes, so that nothing is left
     */
    private static function mixture(array $samples, array $shape): array
    {
        $shaped = [];
        foreach ($shape as $i => $share) {
            $shaped[] = $share * $samples[$i];
        }
        $count = count($shaped);
        $alike = [];
        for ($back = 0; $back <= self::ORDER; $back++) {
            $sum = 0.0;
            for ($i = $back, $earlier = 0; $i < $count; $i++, $earlier++) {
                $sum += $shaped[$i] * $shaped[$earlier];
            }
            $alike[] = $sum;
        }
        $left = $alike[0] * (1 + self::NOISE) + self::LEAST_NOISE;
        $mixture = [];
        for ($order = 1; $order <= self::ORDER; $order++) {
            $turn = $alike[$order];
            foreach ($mixture as $back => $share) {
                $turn += $share * $alike[$order - $back];
            }
            $turn = -$turn / $left;
            $longer = [];
            foreach ($mixture as $back => $share) {
                $longer[$back] = $share + $turn * $mixture[$order - $back];
            }
            $mixture = $longer;
            $mixture[$order] = $turn;
            $left *= 1 - $turn * $turn;
        }

        return $mixture;
    }
}
