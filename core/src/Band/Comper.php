<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/**
 * Keys: chords in the rhythm of their way while active, long guide tones while passive, quarter notes four to the bar, the
 * guitar's strokes in unison, the lead's tune where they double it.
 */
final readonly class Comper implements Player
{
    /** Of plain chords, of accented ones. */
    private const LOUDNESS = [0.6, 0.75];

    private const SOFT = 0.4;

    /** Of what the lead gives a note that is doubled. */
    private const TUNE = 0.7;

    private const QUARTERS = [0.35, 0.45];

    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        $way = $this->part->way() ?? Way::Shells;
        $register = $this->part->ambit();
        $active = new ChordsOfCourse($course, $way === Way::Spread ? new ChordVoicer($register, 4, 12) : new ChordVoicer($register, 3));
        $passive = new ChordsOfCourse($course, new ChordVoicer($register, 2));
        $doubling = Doubling::of($bars, $register);
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $struck = match ($bars[$number]->role) {
                Role::Out => [],
                Role::Passive => $passive->held($number, self::SOFT),
                Role::Four => $active->quarters($number, self::QUARTERS),
                Role::Unison => $active->with($bars[$number]->hits, self::LOUDNESS),
                Role::Doubles => $doubling->in($bars[$number], self::TUNE),
                Role::Active => $way === Way::Pads
                    ? $active->held($number, self::SOFT)
                    : $active->inRhythm($number, CompRhythm::of($way, $bar->meter, $bar->inVisit, $bars[$number]->style), self::LOUDNESS),
            };
            array_push($notes, ...$struck);
        }

        return $notes;
    }
}
