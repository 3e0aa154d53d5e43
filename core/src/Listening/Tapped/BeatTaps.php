<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped;

use Gravik\Listening\Failure\TooFewBeats;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Time\Tempo;

/** Beats tapped along to a record: what tempo they keep, and where the first one lies. */
final readonly class BeatTaps
{
    private const FEWEST = 4;

    /** Fingers are off by at most so much as a whole, seconds, and by this share in tempo; both are looked through in steps. */
    private const LATE = 0.12;

    private const LATE_STEP = 0.004;

    private const OTHER_TEMPO = 0.012;

    private const TEMPO_STEP = 0.001;

    /** A stroke belongs to a beat as far as it lies near it, seconds; a shift costs by how far it goes. */
    private const NEAR = 0.016;

    private const SHIFT_COSTS = 0.5;

    private function __construct(public Tempo $tempo, public float $firstBeat) {}

    /**
     * The same, put right by what was heard of the recording they were tapped along to: a shift for all and a tempo beside the
     * tapped one with which most of what sounds, the louder the more, falls on beats.
     *
     * @param list<float>       $taps    seconds of the recording
     * @param list<PlayedOnset> $strokes in order of time
     *
     * @throws ListeningException where there are too few
     */
    public static function along(array $taps, array $strokes): self
    {
        $tapped = self::of($taps);
        $beat = $tapped->tempo->beatSeconds();
        $until = max([0.0, ...$taps]) + $beat;
        $heard = [];
        foreach ($strokes as $stroke) {
            if ($stroke->levelDb !== null && $stroke->t > $tapped->firstBeat - $beat && $stroke->t < $until) {
                $heard[] = [$stroke->t, 10 ** (max(-20.0, min(6.0, $stroke->levelDb)) / 20)];
            }
        }
        // The tempo turns about the middle of what was tapped, so that it moves no beat as a whole.
        $middle = (int) round(($until - $tapped->firstBeat) / $beat / 2);
        $best = $tapped;
        $most = self::onBeats($heard, $tapped->firstBeat, $beat);
        for ($faster = -self::OTHER_TEMPO; $faster <= self::OTHER_TEMPO; $faster += self::TEMPO_STEP) {
            $other = $beat * (1 + $faster);
            for ($late = -self::LATE; $late <= self::LATE; $late += self::LATE_STEP) {
                $first = $tapped->firstBeat + $middle * ($beat - $other) + $late;
                $on = self::onBeats($heard, $first, $other) * (1 - self::SHIFT_COSTS * ($late / self::LATE) ** 2);
                if ($on > $most) {
                    [$best, $most] = [new self(new Tempo(60 / $other), $first), $on];
                }
            }
        }

        return $best;
    }

    /**
     * The line through the taps; a beat left out is seen by the gap it leaves.
     *
     * @param list<float> $taps seconds, in order
     *
     * @throws ListeningException where there are too few
     */
    public static function of(array $taps): self
    {
        sort($taps);
        if (count($taps) < self::FEWEST) {
            throw new TooFewBeats(count($taps), self::FEWEST);
        }
        $gaps = [];
        foreach (array_slice($taps, 1) as $number => $tap) {
            $gaps[] = max(0.05, $tap - $taps[$number]);
        }
        $usual = Statistics::median($gaps);
        $places = [0.0];
        foreach ($gaps as $gap) {
            $places[] = end($places) + max(1.0, round($gap / $usual));
        }
        [$first, $beat] = Statistics::line($places, $taps);

        return new self(new Tempo(60 / max(0.05, $beat)), $first);
    }

    /** @param list<array{float, float}> $heard seconds and loudness */
    private static function onBeats(array $heard, float $first, float $beat): float
    {
        $sum = 0.0;
        foreach ($heard as [$t, $loud]) {
            $place = ($t - $first) / $beat;
            $off = ($place - round($place)) * $beat / self::NEAR;
            if ($off > -3 && $off < 3) {
                $sum += $loud * exp(-$off * $off / 2);
            }
        }

        return $sum;
    }
}
