<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Failure\NoMelodyHeard;
use Gravik\Listening\Failure\RecordingSilent;
use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\PitchTrack;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Statistics;

/**
 * Hears the notes of one voice that hums, sings or whistles: where its pitch stays for a while is a note, and a syllable in it
 * begins another. Who sings a little flat throughout is heard in their own tuning.
 */
final readonly class MelodyListener
{
    /** A note lasts so long at least, seconds. */
    private const SHORTEST = 0.09;

    /** A pitch that is back within so many moments never went away. */
    private const STEADY = 2;

    private const SYLLABLE_NEAR = 0.06;

    public function __construct(private VoiceListener $syllables = new VoiceListener()) {}

    /**
     * @return non-empty-list<SungNote> in order of time
     *
     * @throws ListeningException where nothing is heard, or nothing with a pitch
     */
    public function hear(AudioSource $source): array
    {
        $envelopes = Envelopes::of($source);
        if ($envelopes->loud() < VoiceListener::SILENCE) {
            throw new RecordingSilent();
        }
        $pitches = PitchTrack::of($envelopes);
        $told = array_values(array_filter($pitches, static fn (?float $pitch): bool => $pitch !== null));
        $off = $told === [] ? 0.0 : self::offKey($told);
        $steps = self::steadied(array_map(
            static fn (?float $pitch): ?int => $pitch === null ? null : (int) round($pitch - $off),
            $pitches,
        ));
        $notes = $this->notes($steps, $this->syllables->of($envelopes));

        return $notes === [] ? throw new NoMelodyHeard() : $notes;
    }

    /**
     * How far the singer's half steps lie from A = 440: half steps go round, so the mean is taken on a circle.
     *
     * @param non-empty-list<float> $pitches
     */
    private static function offKey(array $pitches): float
    {
        $x = array_sum(array_map(static fn (float $pitch): float => cos(2 * M_PI * $pitch), $pitches));
        $y = array_sum(array_map(static fn (float $pitch): float => sin(2 * M_PI * $pitch), $pitches));

        return atan2($y, $x) / (2 * M_PI);
    }

    /**
     * @param list<?int> $steps
     *
     * @return list<?int> each the middle one of those around it that have a pitch
     */
    private static function steadied(array $steps): array
    {
        $steadied = [];
        foreach ($steps as $place => $step) {
            $around = array_values(array_filter(
                array_slice($steps, max(0, $place - self::STEADY), 2 * self::STEADY + 1),
                static fn (?int $other): bool => $other !== null,
            ));
            $steadied[] = $step === null && count($around) <= self::STEADY || $around === [] ? null : (int) Statistics::median(
                array_map(floatval(...), $around),
            );
        }

        return $steadied;
    }

    /**
     * @param list<?int>  $steps
     * @param list<float> $syllables seconds
     *
     * @return list<SungNote>
     */
    private function notes(array $steps, array $syllables): array
    {
        $notes = [];
        $begins = null;
        foreach ([...$steps, null] as $place => $step) {
            $now = $place * PitchTrack::STEP;
            $anew = $begins !== null && $now - $begins * PitchTrack::STEP > self::SYLLABLE_NEAR
                && array_filter($syllables, static fn (float $t): bool => $t > $now - PitchTrack::STEP && $t <= $now) !== [];
            if ($begins !== null && ($anew || $step !== $steps[$begins])) {
                if ($now - $begins * PitchTrack::STEP >= self::SHORTEST) {
                    $notes[] = new SungNote($begins * PitchTrack::STEP, $now - $begins * PitchTrack::STEP, (int) $steps[$begins]);
                }
                $begins = null;
            }
            $begins ??= $step === null ? null : $place;
        }

        return $notes;
    }
}
