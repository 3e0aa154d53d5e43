<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;
use Gravik\Harmony\ChordSymbol;

/** The bass note of a chord, in the octave above the lowest note there is. */
final readonly class BassRoots
{
    private const LOUDNESS = [0.65, 0.8];

    /** @param int $lowest MIDI note; E1 of a bass in fourths */
    public function __construct(private int $lowest = 28) {}

    public function of(ChordSymbol $chord): int
    {
        $pitchClass = ($chord->bass ?? $chord->root)->pitchClass();

        return $this->lowest + ($pitchClass - $this->lowest % 12 + 12) % 12;
    }

    /**
     * @param list<Hit> $hits of the guitar, struck together with it
     *
     * @return list<BandNote>
     */
    public function with(array $hits, Course $course): array
    {
        return array_map(
            fn (Hit $hit): BandNote => new BandNote(
                $hit->tick,
                $hit->until,
                $hit->division,
                $this->of($course->chords[$hit->chord]->chord),
                self::LOUDNESS[$hit->hard ? 1 : 0],
            ),
            $hits,
        );
    }
}
