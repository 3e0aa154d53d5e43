<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/**
 * Horns in two or three voices: stabs and answers while active, held chords while passive; the guitar's strokes in unison, the
 * lead's tune where they double it.
 */
final readonly class HornSection implements Player
{
    /** Of plain chords, of accented ones. */
    private const LOUDNESS = [0.65, 0.85];

    /** Of what the lead gives a note that is doubled. */
    private const TUNE = 0.8;

    private const SOFT = 0.35;

    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        $register = $this->part->ambit();
        $chords = new ChordsOfCourse($course, new ChordVoicer($register, $this->part->way() === Way::StabsInTwo ? 2 : 3));
        $doubling = Doubling::of($bars, $register);
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $held = $bars[$number]->role === Role::Passive || $this->part->way() === Way::Pads;
            $struck = match (true) {
                $bars[$number]->role === Role::Out => [],
                $bars[$number]->role === Role::Unison => $chords->with($bars[$number]->hits, self::LOUDNESS),
                $bars[$number]->role === Role::Doubles => $doubling->in($bars[$number], self::TUNE),
                $held => $chords->held($number, self::SOFT),
                default => $chords->inRhythm(
                    $number,
                    CompRhythm::of(Way::Stabs, $bar->meter, $bar->inVisit, $bars[$number]->style),
                    self::LOUDNESS,
                ),
            };
            array_push($notes, ...$struck);
        }

        return $notes;
    }
}
