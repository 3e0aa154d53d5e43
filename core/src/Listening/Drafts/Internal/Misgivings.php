<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts\Internal;

use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\Statistics;

/**
 * Whether a recording is comping at all, and what may still be told of it where it is something else.
 *
 * @internal used by Drafter
 */
final readonly class Misgivings
{
    /** Strokes that scatter further about their slots keep no beat: players reach 30 ms at most, speech twice that. */
    private const NO_BEAT_MS = 40.0;

    /** Of the notes heard the loudest hold this share where strings ring; of drums, whose sound has no pitch, less. */
    private const LOUDEST = 6;

    private const PITCHED = 0.57;

    /** A stroke is looked at for so long, seconds. */
    private const LOOKED_AT = 0.4;

    /** @return list<string> */
    public static function of(FeelReading $reading, NotesHeard $notes): array
    {
        return array_values(array_filter([
            $reading->scatterMs() > self::NO_BEAT_MS ? sprintf(
                'What begins here keeps no beat: it scatters by %d ms. Is this speech, or played freely? Where sounds begin and which '
                    .'notes they have can be told; bars and form are guesses.',
                (int) round($reading->scatterMs()),
            ) : null,
            self::pitched($reading, $notes) < self::PITCHED
                ? 'Hardly a note can be heard in this. Are these drums, or damped strings? Tempo, feel and strokes stand; '
                    .'the chords are guesses.'
                : null,
        ]));
    }

    private static function pitched(FeelReading $reading, NotesHeard $notes): float
    {
        $shares = [];
        foreach ($reading->strokes as $stroke) {
            $levels = array_values($notes->over([[$stroke->t, $stroke->t + self::LOOKED_AT]]));
            rsort($levels);
            $shares[] = array_sum($levels) > 0 ? array_sum(array_slice($levels, 0, self::LOUDEST)) / array_sum($levels) : 0.0;
        }

        return $shares === [] ? 0.0 : Statistics::median($shares);
    }
}
