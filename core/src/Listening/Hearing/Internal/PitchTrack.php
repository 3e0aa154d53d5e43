<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * The pitch of one voice, moment by moment: the lag at which the sound differs least from itself, each lag against the mean of
 * those before it (after the cumulative mean normalised difference of de Cheveigné and Kawahara).
 *
 * @internal used by MelodyListener
 */
final readonly class PitchTrack
{
    /** Seconds from one moment to the next. */
    public const STEP = 0.02;

    private const WINDOW = 0.03;

    private const LOWEST_HZ = 75.0;

    private const HIGHEST_HZ = 1300.0;

    /** The first lag whose difference is so small is the period; where none is, there is no pitch. */
    private const SMALL = 0.18;

    /** Softer than this share of the loud moments is silence. */
    private const SOFT = 0.08;

    /** @return list<?float> MIDI numbers with their fractions; null where there is no pitch */
    public static function of(Envelopes $envelopes): array
    {
        $rate = $envelopes->slowRate;
        $size = (int) (self::WINDOW * $rate);
        $longest = (int) ($rate / self::LOWEST_HZ);
        $shortest = max(2, (int) ($rate / self::HIGHEST_HZ));
        $total = $envelopes->total();
        $least = (self::SOFT * $envelopes->loud()) ** 2;
        $pitches = [];
        for ($t = 0.0; $t < $envelopes->frames() / Envelopes::FRAMES_A_SECOND; $t += self::STEP) {
            $ms = (int) round($t * Envelopes::FRAMES_A_SECOND);
            $pitches[] = $total->mean($ms, $ms + (int) (1000 * self::STEP)) < $least ? null : self::pitch(
                $envelopes->slow($t, $size + $longest + 1),
                $size,
                $shortest,
                $longest,
                $rate,
            );
        }

        return $pitches;
    }

    /** @param list<float> $samples */
    private static function pitch(array $samples, int $size, int $shortest, int $longest, float $rate): ?float
    {
        $sum = 0.0;
        $shares = [1.0];
        $found = null;
        for ($lag = 1; $lag <= $longest; $lag++) {
            $difference = 0.0;
            for ($i = 0; $i < $size; $i++) {
                $apart = $samples[$i] - $samples[$i + $lag];
                $difference += $apart * $apart;
            }
            $sum += $difference;
            $shares[] = $sum > 0 ? $difference * $lag / $sum : 1.0;
            // Past the first small one the valley is followed to its ground.
            if ($found !== null && $shares[$lag] > $shares[$found]) {
                break;
            }
            if ($lag >= $shortest && ($shares[$lag] < self::SMALL || $found !== null)) {
                $found = $lag;
            }
        }
        if ($found === null) {
            return null;
        }
        [$left, $here, $right] = [$shares[$found - 1], $shares[$found], $shares[$found + 1] ?? $shares[$found]];
        $bend = $left - 2 * $here + $right;

        return 69 + 12 * log($rate / ($found + ($bend > 0 ? 0.5 * ($left - $right) / $bend : 0.0)) / 440, 2);
    }
}
