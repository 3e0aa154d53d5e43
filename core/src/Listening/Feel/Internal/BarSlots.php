<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

use Gravik\Listening\Feel\PlacedStroke;
use Gravik\Listening\Feel\SlotHeard;
use Gravik\Listening\Statistics;
use Gravik\Strokes\Counting;
use Gravik\Time\Meter;

/**
 * What each slot of the bar does over a recording: how often it is played, how loud, how dead, and whether it is a push,
 * a stroke just before a beat that then stays empty.
 *
 * @internal
 */
final readonly class BarSlots
{
    public function __construct(private Meter $meter, private int $division) {}

    /**
     * @param list<PlacedStroke> $strokes
     *
     * @return list<SlotHeard> those that are played, in order
     */
    public function of(array $strokes): array
    {
        $perBar = $this->meter->beats() * $this->division;
        $bySlot = [];
        $at = [];
        foreach ($strokes as $stroke) {
            $bySlot[$stroke->slot][] = $stroke;
            $at[$stroke->bar * $perBar + $stroke->slot] = true;
        }
        ksort($bySlot);
        $bars = count(array_unique(array_map(static fn (PlacedStroke $stroke): int => $stroke->bar, $strokes)));
        $syllables = Counting::syllables($this->meter, $this->division);
        $slots = [];
        foreach ($bySlot as $slot => $played) {
            $beforeBeat = $this->division > 1 && ($slot + 1) % $this->division === 0;
            $pushes = array_filter(
                $played,
                static fn (PlacedStroke $stroke): bool => $beforeBeat && ! isset($at[$stroke->bar * $perBar + $slot + 1]),
            );
            $levels = array_values(array_filter(
                array_map(static fn (PlacedStroke $stroke): ?float => $stroke->levelDb, $played),
                static fn (?float $level): bool => $level !== null,
            ));
            $beat = (string) (intdiv($slot, $this->division) + 1);
            $slots[] = new SlotHeard(
                $slot,
                $slot % $this->division === 0 ? $beat : $beat.$syllables[$slot],
                min(1.0, count($played) / $bars),
                $levels === [] ? null : Statistics::median($levels),
                count(array_filter($played, static fn (PlacedStroke $stroke): bool => $stroke->muted === true)) / count($played),
                min(1.0, count($pushes) / $bars),
                Statistics::median(array_map(static fn (PlacedStroke $stroke): float => $stroke->ms, $played)),
            );
        }

        return $slots;
    }
}
