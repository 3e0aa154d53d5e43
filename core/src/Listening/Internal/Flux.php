<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

/**
 * How much comes anew into the spectrum, step by step: the rise of every bin's level against the loudest of itself and
 * its neighbours two steps before (after the idea of maximum-filtered spectral flux), so that what rings on, and beats or
 * wavers as it does, adds nothing.
 *
 * @internal used by OnsetFinder
 */
final class Flux
{
    public const STEP_MS = 7;

    /** Seconds; the window is the next power of two of samples. */
    private const SHORTEST_WINDOW = 0.029;

    /** Levels are taken as log(1 + energy), in units of this share of the loud amplitudes, squared. */
    private const SOFT = 0.003;

    private const BACK = 3;

    /** @return Series one figure a step, the step's window being centred on it */
    public static function of(Envelopes $envelopes): Series
    {
        $rate = $envelopes->slowRate;
        $size = 2 ** (int) ceil(log(self::SHORTEST_WINDOW * $rate, 2));
        $spectrum = new Spectrum($size);
        $steps = intdiv($envelopes->frames(), self::STEP_MS);
        $soft = 1 / (self::SOFT * $envelopes->loud() * $size / 2) ** 2;
        $before = [];
        $flux = [];
        for ($step = 0; $step < $steps; $step += 2) {
            $from = $step * self::STEP_MS / 1000 - $size / 2 / $rate;
            foreach ($spectrum->energies($envelopes->slow($from, $size), $envelopes->slow($from + self::STEP_MS / 1000, $size)) as $energies) {
                foreach ($energies as $bin => $energy) {
                    $energies[$bin] = log(1 + $soft * $energy);
                }
                $before[] = $energies;
                if (count($before) > self::BACK) {
                    $flux[] = self::rise($energies, array_shift($before));
                } else {
                    $flux[] = 0.0;
                }
            }
        }

        return new Series($flux);
    }

    /**
     * @param list<float> $now
     * @param list<float> $then
     */
    private static function rise(array $now, array $then): float
    {
        $sum = 0.0;
        $left = $then[0];
        $here = $then[1];
        for ($k = 1, $last = count($now) - 1; $k < $last; $k++) {
            $right = $then[$k + 1];
            $level = $now[$k];
            if ($level > $left && $level > $here && $level > $right) {
                $sum += $level - ($left > $here ? ($left > $right ? $left : $right) : ($here > $right ? $here : $right));
            }
            $left = $here;
            $here = $right;
        }

        return $sum / count($now);
    }
}
