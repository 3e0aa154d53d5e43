<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** Plays the drums of a groove, bar after bar. */
final readonly class Drummer implements Player
{
    private const LOUDNESS = ['g' => 0.2, 'x' => 0.5, 'X' => 0.85];

    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $grooves): array
    {
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $groove = $grooves[$number];
            if ($groove === null) {
                continue;
            }
            foreach ($groove->drums as $drum => $signs) {
                foreach (str_split($signs) as $slot => $sign) {
                    if ($sign !== '.') {
                        $tick = $bar->tick + $slot * $groove->slotTicks();
                        $notes[] = new BandNote(
                            $tick,
                            $tick + $groove->slotTicks(),
                            $groove->grid,
                            Drum::named($drum)->value,
                            self::LOUDNESS[$sign],
                        );
                    }
                }
            }
        }

        return $notes;
    }
}
