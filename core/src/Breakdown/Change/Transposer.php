<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\MovedBreakdown;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Ending;
use Gravik\Chart\Pin;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\Section;
use Gravik\Harmony\Key;

/** Puts a breakdown in another key: typed letters move, pinned grips move the shorter way where they can. */
final readonly class Transposer
{
    /** Sections in a key of their own keep their distance from the song's. */
    public function transpose(Breakdown $breakdown, Key $to): MovedBreakdown
    {
        $from = $breakdown->start->key;
        $reader = $breakdown->start->reader();
        $carried = static fn (string $symbol): string => $from->carryChord($reader->chord($symbol), $to)->text();
        $semitones = $from->semitonesTo($to);
        $moved = $breakdown->with(
            start: $breakdown->start->with(key: $to),
            sections: array_map(
                static fn (Section $section): Section => self::section($section, $reader, $from, $to),
                $breakdown->sections,
            ),
            played: array_map(static fn (PlacedFigure $each): PlacedFigure => $each->shifted($semitones), $breakdown->played),
            placed: array_map(static fn (PlacedMove $each): PlacedMove => $each->with(symbol: $carried($each->symbol)), $breakdown->placed),
        );

        return MovedBreakdown::of($moved, static fn (Pin $pin): ?Pin => $pin->movedBy($semitones, $carried($pin->symbol)));
    }

    private static function section(Section $section, ChartLine $reader, Key $from, Key $to): Section
    {
        return $section->with(
            line: $reader->carriedTo($to, $section->line),
            key: $section->key === null ? null : $from->carryKey($section->key, $to),
            endings: array_map(
                static fn (Ending $ending): Ending => new Ending($ending->times, $reader->carriedTo($to, $ending->line)),
                $section->endings,
            ),
        );
    }
}
