<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\Groove;
use Gravik\Breakdown\Breakdown;
use Gravik\Strokes\AccentProfile;
use Gravik\Strokes\CountLine;
use Gravik\Strokes\LengthProfile;
use Gravik\Strokes\PatternShaper;
use Gravik\Time\Meter;

/** Changes a breakdown's pattern as a whole. */
final readonly class PatternChanger
{
    public function __construct(private PatternShaper $shaper = new PatternShaper()) {}

    /** Lays the pattern out anew; in another meter the breakdown takes that meter's first groove. */
    public function shape(Breakdown $breakdown, Meter $meter, int $bars, int $grid): Breakdown
    {
        $groove = $meter->text() === $breakdown->meter->text() ? $breakdown->groove : Groove::defaultFor($meter);

        return $breakdown->with(meter: $meter, pattern: $this->shaper->shaped($breakdown->pattern, $meter, $bars, $grid), groove: $groove);
    }

    /** Takes the pattern, or one line of it, as it is counted aloud. */
    public function recount(Breakdown $breakdown, string $typed, int $line = 0): Breakdown
    {
        return $breakdown->with(pattern: $this->shaper->recounted($breakdown->pattern, CountLine::parse($typed, $breakdown->meter), $line));
    }

    /** Lays other weights and lengths over the pattern. */
    public function profile(Breakdown $breakdown, ?AccentProfile $accents, ?LengthProfile $lengths): Breakdown
    {
        $pattern = $accents?->over($breakdown->pattern) ?? $breakdown->pattern;

        return $breakdown->with(pattern: $lengths?->over($pattern) ?? $pattern);
    }
}
