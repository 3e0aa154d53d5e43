<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;

/** Changes the pattern of one place of a breakdown as a whole. */
final readonly class PatternChanger
{
    public function __construct(private PatternShaper $shaper = new PatternShaper()) {}

    /** Lays the pattern out anew in its meter. */
    public function shape(Desk $desk, int $bars, int $grid): Breakdown
    {
        return $desk->with($this->shaper->shaped($desk->pattern(), $desk->setting->meter, $bars, $grid));
    }

    /**
     * The song in another meter: its patterns in the old one are laid out anew, and drums and bass that played a groove in it
     * take the new meter's first.
     */
    public function meter(Breakdown $breakdown, Meter $meter): Breakdown
    {
        $was = $breakdown->start->meter;

        return $was->equals($meter) ? $breakdown : $breakdown->with(
            start: $breakdown->start->with(meter: $meter),
            patterns: array_map(fn (NamedPattern $each): NamedPattern => $each->pattern->meter->equals($was)
                ? $each->with($this->shaper->shaped($each->pattern, $meter, $each->pattern->bars(), $each->pattern->grid()))
                : $each, $breakdown->patterns),
            parts: array_map(
                static fn (BandPart $part): BandPart => $part->groove === null ? $part : $part->with(groove: Groove::defaultFor($meter)),
                $breakdown->parts,
            ),
        );
    }

    /** Takes the pattern, or one line of it, as it is counted aloud. */
    public function recount(Desk $desk, string $typed, int $line = 0): Breakdown
    {
        return $desk->with($this->shaper->recounted($desk->pattern(), CountLine::parse($typed, $desk->setting->meter), $line));
    }

    /** Lays other weights and lengths over the pattern. */
    public function profile(Desk $desk, ?AccentProfile $accents, ?LengthProfile $lengths): Breakdown
    {
        $pattern = $accents?->over($desk->pattern()) ?? $desk->pattern();

        return $desk->with($lengths?->over($pattern) ?? $pattern);
    }
}
