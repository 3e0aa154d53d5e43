<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\MovedBreakdown;
use Gravik\Chart\Approach;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Section;
use Gravik\Harmony\Key;

/** Puts a breakdown in another key: typed letters move, pinned grips move the shorter way where they can. */
final readonly class Transposer
{
    public function transpose(Breakdown $breakdown, Key $to): MovedBreakdown
    {
        $from = $breakdown->key;
        $reader = new ChartLine($from, $breakdown->meter);
        $carried = static fn (string $symbol): string => $from->carryChord($reader->chord($symbol), $to)->text();
        $sections = array_map(
            static fn (Section $section): Section => new Section($section->name, $reader->carriedTo($to, $section->line)),
            $breakdown->sections,
        );
        $semitones = $from->semitonesTo($to);
        $pins = [];
        $dropped = [];
        foreach ($breakdown->pins as $pin) {
            $moved = $pin->movedBy($semitones, $carried($pin->symbol));
            $moved === null ? $dropped[] = $pin : $pins[] = $moved;
        }
        $approaches = array_map(static fn (Approach $each): Approach => $each->to($carried($each->symbol)), $breakdown->approaches);

        return new MovedBreakdown($breakdown->with(key: $to, sections: $sections, pins: $pins, approaches: $approaches), $dropped);
    }
}
