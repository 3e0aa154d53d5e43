<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Time\Meter;
use Gravik\Time\TimeException;

/** The syllables a student says aloud under the slots of one bar. */
final readonly class Counting
{
    private const WITHIN_THE_BEAT = [
        1 => [''],
        2 => ['', '&'],
        3 => ['', 'trip', 'let'],
        4 => ['', 'e', '&', 'a'],
        6 => ['', 'ta', 'trip', 'ta', 'let', 'ta'],
        12 => ['', '', '', 'e', 'trip', '', '&', '', 'let', 'a', '', ''],
    ];

    private const WITHIN_A_DOTTED_BEAT = [
        1 => [''],
        2 => ['', '2nd'],
        3 => ['', '&', 'a'],
        4 => ['', 'e', '2nd', 'a'],
        6 => ['', 'ta', '&', 'ta', 'a', 'ta'],
        12 => ['', '', 'ta', 'e', '&', '', '2nd', '', 'a', '', 'ta', ''],
    ];

    /** @return list<string> one for each slot of a bar */
    public static function syllables(Meter $meter, int $grid): array
    {
        $within = ($meter->isCompound() ? self::WITHIN_A_DOTTED_BEAT : self::WITHIN_THE_BEAT)[$grid] ?? throw TimeException::division($grid);
        $bar = [];
        for ($beat = 1; $beat <= $meter->beats(); $beat++) {
            foreach ($within as $slot => $syllable) {
                $bar[] = $slot === 0 ? (string) $beat : $syllable;
            }
        }

        return $bar;
    }
}
