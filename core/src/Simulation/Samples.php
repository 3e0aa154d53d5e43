<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/** What every sound goes through before it is mixed. */
final class Samples
{
    private const FADE_SECONDS = 0.01;

    /**
     * Brings a sound to its level and fades its end, so that none ends in a click.
     *
     * @param list<float> $samples
     *
     * @return list<float>
     */
    public static function shaped(array $samples, float $level, int $rate): array
    {
        $peak = 1e-9;
        foreach ($samples as $value) {
            $peak = max($peak, abs($value));
        }
        $count = count($samples);
        $fade = (int) (self::FADE_SECONDS * $rate);
        $gain = $level / $peak;
        $shaped = [];
        foreach ($samples as $i => $value) {
            $shaped[] = $value * $gain * ($count - $i < $fade ? ($count - $i) / $fade : 1.0);
        }

        return $shaped;
    }

    /**
     * The same sound darker: y = (1 − b) x + b y before it.
     *
     * @param list<float> $samples
     * @param float       $by      0 to 0.5
     *
     * @return list<float>
     */
    public static function mellow(array $samples, float $by): array
    {
        if ($by === 0.0) {
            return $samples;
        }
        $before = 0.0;
        $out = [];
        foreach ($samples as $sample) {
            $out[] = $before = (1 - $by) * $sample + $by * $before;
        }

        return $out;
    }
}
