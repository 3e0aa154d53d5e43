<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * How much comes anew into the sound, step by step, told in two ways. The flux is the rise of every bin's level against the
 * loudest of itself and its neighbours some steps before (after the idea of maximum-filtered spectral flux), so that what
 * rings on, and beats or wavers as it does, adds nothing. The surprise is how far a bin lies from where it would have come by
 * going on turning as it turned before (after the idea of the complex-domain onset function): a string struck anew while it
 * rings may bring no energy at all, but it begins its turn anew.
 *
 * @internal used by OnsetFinder
 */
final class Novelty
{
    public const STEP_MS = 10;

    /** Seconds; the window is the next power of two of samples. */
    private const SHORTEST_WINDOW = 0.029;

    /** Levels are taken as log(1 + energy), in units of this share of the loud amplitudes, squared. */
    private const SOFT = 0.003;

    private const BACK = 2;

    /** A surprise counts as far as it stands out of this share of the level that was there. */
    private const EXPECTED = 0.7;

    /** The surprise says more than the flux. */
    private const SURPRISE_COUNTS = 2.0;

    /** Quantile of the loud moments. */
    private const LOUD = 0.98;

    /** What a loud moment brings at least, so that nothing is made much of where nothing happens. */
    private const LEAST_FLUX = 0.2;

    private const LEAST_SURPRISE = 0.2;

    /** In noise something new comes all the time: there the loud moments are not far above the median. */
    private const ABOVE_NOISE = 3.0;

    /** @var list<array{re: list<float>, im: list<float>, length: list<float>, level: list<float>}> the last steps, oldest first */
    private array $before = [];

    private function __construct(private readonly float $soft) {}

    /** @return ?Series one figure a step, the step's window being centred on it: 1 for a loud stroke; null in mere noise */
    public static function of(Envelopes $envelopes): ?Series
    {
        $rate = $envelopes->slowRate;
        $size = 2 ** (int) ceil(log(self::SHORTEST_WINDOW * $rate, 2));
        $spectrum = new Spectrum($size);
        $steps = intdiv($envelopes->frames(), self::STEP_MS);
        $self = new self(1 / (self::SOFT * $envelopes->loud() * $size / 2) ** 2);
        $flux = [];
        $surprise = [];
        for ($step = 0; $step < $steps; $step += 2) {
            $from = $step * self::STEP_MS / 1000 - $size / 2 / $rate;
            foreach ($spectrum->spectra(
                $envelopes->slow($from, $size),
                $envelopes->slow($from + self::STEP_MS / 1000, $size),
            ) as [$re, $im]) {
                [$flux[], $surprise[]] = $self->step($re, $im);
            }
        }
        $fluxes = new Series($flux);
        $loud = $fluxes->quantile(self::LOUD);
        $usual = $fluxes->quantile(0.5);
        if ($loud < self::ABOVE_NOISE * $usual) {
            return null;
        }
        $surprises = new Series($surprise);
        $expected = $surprises->quantile(0.5);
        $fluxScale = 1 / max(self::LEAST_FLUX, $loud - $usual);
        $surpriseScale = 1 / max(self::LEAST_SURPRISE, $surprises->quantile(self::LOUD) - $expected);

        return new Series(array_map(
            static fn (float $flux, float $surprise): float => (($flux - $usual) * $fluxScale
                + self::SURPRISE_COUNTS * ($surprise - $expected) * $surpriseScale) / (1 + self::SURPRISE_COUNTS),
            $flux,
            $surprise,
        ));
    }

    /**
     * @param list<float> $re
     * @param list<float> $im
     *
     * @return array{float, float} flux and surprise, each a mean over the bins
     */
    private function step(array $re, array $im): array
    {
        $soft = $this->soft;
        $length = [];
        $level = [];
        foreach ($re as $k => $x) {
            $energy = $x * $x + $im[$k] * $im[$k];
            $length[] = sqrt($energy) + 1e-12;
            $level[] = log(1 + $soft * $energy);
        }
        $this->before[] = ['re' => $re, 'im' => $im, 'length' => $length, 'level' => $level];
        if (count($this->before) <= 2 * self::BACK) {
            return [0.0, 0.0];
        }
        $then = $this->before[self::BACK];

        return [self::rise($level, $then['level']), $this->surprise($re, $im, $then, array_shift($this->before))];
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

    /**
     * @param list<float>                                                                      $re
     * @param list<float>                                                                      $im
     * @param array{re: list<float>, im: list<float>, length: list<float>, level: list<float>} $then
     * @param array{re: list<float>, im: list<float>, length: list<float>, level: list<float>} $earlier as long before that
     */
    private function surprise(array $re, array $im, array $then, array $earlier): float
    {
        $soft = $this->soft;
        ['re' => $thenRe, 'im' => $thenIm, 'length' => $thenLength, 'level' => $level] = $then;
        ['re' => $earlierRe, 'im' => $earlierIm, 'length' => $earlierLength] = $earlier;
        $sum = 0.0;
        foreach ($re as $k => $x) {
            $b = $thenRe[$k];
            $c = $thenIm[$k];
            $d = $earlierRe[$k];
            $e = $earlierIm[$k];
            $share = 1 / ($thenLength[$k] * $earlierLength[$k]);
            $turnRe = ($b * $d + $c * $e) * $share;
            $turnIm = ($c * $d - $b * $e) * $share;
            $offRe = $x - $b * $turnRe + $c * $turnIm;
            $offIm = $im[$k] - $b * $turnIm - $c * $turnRe;
            $off = $soft * ($offRe * $offRe + $offIm * $offIm);
            $expected = self::EXPECTED * $level[$k];
            // log(1 + off) is never more than off: most bins need no logarithm.
            if ($off > $expected && ($above = log(1 + $off) - $expected) > 0) {
                $sum += $above;
            }
        }

        return $sum / count($re);
    }
}
