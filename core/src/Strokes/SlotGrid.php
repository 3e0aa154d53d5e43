<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** The slots of a pattern as they are shown: each beat as its strokes divide it, or as it is asked for. */
final readonly class SlotGrid
{
    /**
     * @param ?int            $grid    slots in every beat; where null, each beat as its strokes divide it
     * @param array<int, int> $divided beat => its division, before the grid
     *
     * @return list<array{at: int, division: int, syllable: string, onBeat: bool}>
     */
    public static function of(Pattern $pattern, ?int $grid, array $divided = []): array
    {
        $beatTicks = $pattern->meter->beatTicks();
        $slots = [];
        for ($beat = 0; $beat < intdiv($pattern->ticks, $beatTicks); $beat++) {
            $division = $divided[$beat] ?? $grid ?? $pattern->divisionOfBeat($beat);
            $syllables = array_slice(
                Counting::syllables($pattern->meter, $division),
                $beat % $pattern->meter->beats() * $division,
                $division,
            );
            foreach ($syllables as $number => $syllable) {
                $at = $beat * $beatTicks + $number * intdiv($beatTicks, $division);
                $slots[] = ['at' => $at, 'division' => $division, 'syllable' => $syllable, 'onBeat' => $number === 0];
            }
        }

        return $slots;
    }
}
