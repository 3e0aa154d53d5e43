<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\ChordClock;
use Gravik\Chart\PlacedApproach;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stroke;
use Gravik\Time\TimeMap;

/**
 * The strokes of a walk to a chord: one a slot, each ringing to the next, down on the beat and up between.
 *
 * @internal used by GuitarPart
 */
final readonly class ApproachStrokes
{
    /**
     * @param int $slotTicks of the pattern, whose slots the strokes are counted on
     * @param int $firstSlot number of the pattern's first
     */
    public function __construct(
        private TimeMap $map,
        private ChordClock $clock,
        private int $slotTicks,
        private int $firstSlot,
        private float $offsetMs,
        private Gains $gains,
    ) {}

    /** @return list<PlayedStroke> without ends */
    public function of(PlacedApproach $approach): array
    {
        $strokes = [];
        foreach ($approach->grips as $step => $grip) {
            $tick = $approach->fromTicks + $step * $approach->slotTicks;
            $stretch = $this->map->at($tick);
            $inBar = $stretch->inBar($tick);
            $inBeat = $stretch->inBeat($tick);
            $division = Divisions::of($inBeat, $stretch->ruler->meter->beatTicks());
            $direction = $inBeat === 0 ? Direction::Down : Direction::Up;
            $stroke = new Stroke($inBar, $division, direction: $direction, length: Length::ofTicks($approach->slotTicks));
            $strings = ZoneStrings::of($stroke, $grip);
            $t = $this->map->secondsAt($tick, $division) + $this->offsetMs / 1000;
            $slot = $this->firstSlot + intdiv($inBar, $this->slotTicks);
            $strokes[] = new PlayedStroke(
                $stroke,
                $slot,
                $this->map->barAt($tick),
                $tick,
                $t,
                $this->clock->at($tick) ?? $approach->target,
                $grip,
                $strings,
                [],
                $this->gains->at($tick),
            );
        }

        return $strokes;
    }
}
