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
        $bars = [];
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $groove = $grooves[$number];
            if ($groove === null) {
                continue;
            }
            foreach ($bars[$groove->slug] ??= self::bar($groove) as [$at, $pitch, $loudness]) {
                $notes[] = new BandNote($bar->tick + $at, $bar->tick + $at + $groove->slotTicks(), $groove->grid, $pitch, $loudness);
            }
        }

        return $notes;
    }

    /** @return list<array{int, int, float}> ticks from the bar line, pitch and loudness of every note in a bar */
    private static function bar(Groove $groove): array
    {
        $notes = [];
        foreach ($groove->drums as $drum => $signs) {
            foreach (str_split($signs) as $slot => $sign) {
                if ($sign !== '.') {
                    $notes[] = [$slot * $groove->slotTicks(), Drum::named($drum)->value, self::LOUDNESS[$sign]];
                }
            }
        }

        return $notes;
    }
}
