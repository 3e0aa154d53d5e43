<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Time\Failure\DivisionUnknown;
use Gravik\Time\Meter;

/** The syllables a student says aloud under the slots of one bar. */
final readonly class Counting
{
    private const MOST_NAMED = 3;

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
        $within = ($meter->isCompound() ? self::WITHIN_A_DOTTED_BEAT : self::WITHIN_THE_BEAT)[$grid]
            ?? throw new DivisionUnknown($grid);
        $bar = [];
        for ($beat = 1; $beat <= $meter->beats(); $beat++) {
            foreach ($within as $slot => $syllable) {
                $bar[] = $slot === 0 ? (string) $beat : $syllable;
            }
        }

        return $bar;
    }

    /**
     * Several places in one phrase: beat 1, the “&” of beat 2 and 3 more.
     *
     * @param non-empty-list<int> $at ticks
     */
    public static function places(Pattern $pattern, array $at): string
    {
        $named = array_map(static fn (int $tick): string => self::place($pattern, $tick), array_slice($at, 0, self::MOST_NAMED));
        $more = count($at) - count($named);

        return implode(', ', $named).($more > 0 ? " and {$more} more" : '');
    }

    /** Where a tick of a pattern lies, as people say it: beat 2, the “&” of beat 3 in bar 2. */
    public static function place(Pattern $pattern, int $at): string
    {
        $meter = $pattern->meter;
        $grid = $pattern->grid();
        $slot = intdiv($at % $meter->barTicks(), intdiv($meter->beatTicks(), $grid));
        $beat = 'beat '.(intdiv($slot, $grid) + 1).($pattern->bars() === 1 ? '' : ' in bar '.(intdiv($at, $meter->barTicks()) + 1));
        $syllable = self::syllables($meter, $grid)[$slot];

        return $slot % $grid === 0 ? $beat : "the “{$syllable}” of {$beat}";
    }
}
