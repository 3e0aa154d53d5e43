<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Failure\RecordingSilent;
use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\Series;
use Gravik\Listening\ListeningException;

/**
 * Hears the syllables of a voice that sings or speaks a rhythm: a syllable falls where its vowel comes in, which is where half of
 * its loudness is reached; the consonant before it is not its beat.
 */
final readonly class VoiceListener
{
    /** Quieter than this, root mean square of the loud moments, is silence. */
    public const SILENCE = 3e-4;

    /** Loudness is smoothed over so many ms to either side. */
    private const SMOOTH = 10;

    /** It rises by so much, nepers, within so many ms around a syllable; below this share of the loud moments nothing rises. */
    private const RISES = 1.0;

    private const WITHIN = 30;

    private const LEAST = 0.12;

    private const LOUD = 0.95;

    /** No two syllables are nearer than this, ms. */
    private const APART = 80;

    /** Where its loudest moment lies at the latest, and where its vowel is looked for from, ms around the steepest rise. */
    private const LOUDEST_AFTER = 90;

    private const LOOKED_FOR = 40;

    /**
     * @return list<float> seconds into the recording
     *
     * @throws ListeningException where nothing can be heard
     */
    public function hear(AudioSource $source): array
    {
        $envelopes = Envelopes::of($source);

        return $envelopes->loud() < self::SILENCE ? throw new RecordingSilent() : $this->of($envelopes);
    }

    /** @return list<float> seconds */
    public function of(Envelopes $envelopes): array
    {
        $loudness = self::smooth($envelopes);
        $sorted = new Series($loudness);
        $least = self::LEAST * $sorted->quantile(self::LOUD);
        $rises = [];
        foreach (array_keys($loudness) as $ms) {
            $before = max($least, $loudness[max(0, $ms - self::WITHIN)]);
            $rises[] = log(max($least, $loudness[min(count($loudness) - 1, $ms + self::WITHIN)]) / $before);
        }
        $syllables = [];
        $last = -self::APART;
        foreach ($rises as $ms => $rise) {
            if ($rise < self::RISES || $ms - $last < self::APART || ! self::isSteepest($rises, $ms)) {
                continue;
            }
            $last = $ms;
            $syllables[] = self::vowel($loudness, $ms) / Envelopes::FRAMES_A_SECOND;
        }

        return $syllables;
    }

    /** @return list<float> amplitude of each millisecond below the hiss of consonants */
    private static function smooth(Envelopes $envelopes): array
    {
        $amplitudes = new Series(array_map(
            static fn (float $low, float $middle): float => sqrt($low + $middle),
            $envelopes->low,
            $envelopes->middle,
        ));
        $smooth = [];
        for ($ms = 0; $ms < $envelopes->frames(); $ms++) {
            $smooth[] = $amplitudes->mean($ms - self::SMOOTH, $ms + self::SMOOTH + 1);
        }

        return $smooth;
    }

    /** @param list<float> $rises */
    private static function isSteepest(array $rises, int $ms): bool
    {
        for ($other = max(0, $ms - 2 * self::WITHIN); $other < min(count($rises), $ms + 2 * self::WITHIN); $other++) {
            if ($rises[$other] > $rises[$ms] || ($rises[$other] === $rises[$ms] && $other < $ms)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<float> $loudness
     *
     * @return int ms at which half of the way up is gone
     */
    private static function vowel(array $loudness, int $ms): int
    {
        $top = max([0.0, ...array_slice($loudness, max(0, $ms - self::WITHIN), self::WITHIN + self::LOUDEST_AFTER)]);
        $base = min([$top, ...array_slice($loudness, max(0, $ms - 2 * self::WITHIN), 2 * self::WITHIN + 1)]);
        $at = max(0, $ms - self::LOOKED_FOR);
        while ($at < count($loudness) - 1 && $loudness[$at] < ($top + $base) / 2) {
            $at++;
        }

        return $at;
    }
}
