<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Stroke;

/** Which school suits a pattern, and why, in a sentence. */
final readonly class SchoolAdvice
{
    private function __construct(public School $school, public string $reason) {}

    public static function for(Pattern $pattern): self
    {
        $strokes = $pattern->strokes();
        $thumbs = array_filter($strokes, static fn (Stroke $stroke): bool => $stroke->by === PlayedBy::Thumb);
        if ($thumbs !== []) {
            return new self(School::ThumbFingers, 'The thumb keeps one bass note a beat, the fingers brush up in between.');
        }
        if (count($pattern->streams) === 2) {
            return new self(School::PickFingers, 'Two lines at once: the pick takes the low one, the fingers the upper strings.');
        }
        $climb = self::climb($strokes);
        if ($climb !== 0) {
            return $climb > 0
                ? new self(
                    School::DownDownUp,
                    'The roll climbs the strings: the pick goes on in its direction as it crosses to the next higher one.',
                )
                : new self(School::Alternate, 'The roll falls through the strings: turning every time keeps it even and quick.');
        }
        $beat = $pattern->meter->beatTicks();
        $onBeats = $strokes !== [] && array_filter($strokes, static fn (Stroke $stroke): bool => $stroke->at % $beat !== 0) === [];
        if ($onBeats) {
            return new self(School::AllDown, 'Every stroke stands on a beat: all down gives them the same weight.');
        }
        $upbeats = $strokes !== [] && array_filter($strokes, static fn (Stroke $stroke): bool => $stroke->at % $beat === 0) === [];

        return new self(School::Pendulum, $upbeats
            ? 'Upbeats alone: either direction is right if it is kept; the pendulum plays them up and shows the beat as air.'
            : 'Strummed on and off the beat: a hand that never stops keeps the time.');
    }

    /**
     * Where a roll of single strings mostly goes: + climbs to the higher strings, − falls, 0 is no roll.
     *
     * @param list<Stroke> $strokes
     */
    private static function climb(array $strokes): int
    {
        $single = array_values(array_filter(
            $strokes,
            static fn (Stroke $stroke): bool => is_array($stroke->strings) && count($stroke->strings) === 1,
        ));
        if (count($single) < 3 || 2 * count($single) < count($strokes)) {
            return 0;
        }
        $steps = 0;
        foreach (array_slice($single, 1) as $place => $stroke) {
            $steps += is_array($stroke->strings) && is_array($single[$place]->strings)
                ? $single[$place]->strings[0] <=> $stroke->strings[0]
                : 0;
        }

        return $steps <=> 0;
    }
}
