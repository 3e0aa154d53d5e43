<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped;

use Gravik\Listening\Failure\TooFewBeats;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Statistics;
use Gravik\Time\Tempo;

/** Beats tapped along to a record: what tempo they keep, and where the first one lies. */
final readonly class BeatTaps
{
    private const FEWEST = 4;

    private function __construct(public Tempo $tempo, public float $firstBeat) {}

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
}
