<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\ChordClock;
use Gravik\Chart\PlacedApproach;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stroke;
use Gravik\Time\Ruler;

/**
 * The strokes of a walk to a chord: one a slot, each ringing to the next, down on the beat and up between.
 *
 * @internal used by GuitarPart
 */
final readonly class ApproachStrokes
{
    /** @param int $slotTicks of the pattern, whose slots the strokes are counted on */
    public function __construct(private Ruler $ruler, private ChordClock $clock, private int $slotTicks, private float $offsetMs) {}

    /** @return list<PlayedStroke> without ends */
    public function of(PlacedApproach $approach): array
    {
        $beat = $this->ruler->meter->beatTicks();
        $bar = $this->ruler->meter->barTicks();
        $strokes = [];
        foreach ($approach->grips as $step => $grip) {
            $tick = $approach->fromTicks + $step * $approach->slotTicks;
            $division = self::division($tick % $beat, $beat);
            $stroke = new Stroke($tick % $bar, $division, direction: $tick % $beat === 0 ? Direction::Down : Direction::Up, length: Length::ofTicks($approach->slotTicks));
            $strings = ZoneStrings::of($stroke, $grip);
            $t = $this->ruler->secondsAt($tick, $division) + $this->offsetMs / 1000;
            $strokes[] = new PlayedStroke($stroke, intdiv($tick % $bar, $this->slotTicks), intdiv($tick, $bar), $tick, $t, $this->clock->at($tick) ?? $approach->target, $grip, $strings, []);
        }

        return $strokes;
    }

    /** The coarsest division of the beat that has this place, so that swing moves it as it moves the pattern's own strokes. */
    private static function division(int $within, int $beat): int
    {
        foreach ([1, 2, 3, 4] as $division) {
            if ($within * $division % $beat === 0) {
                return $division;
            }
        }

        return 6;
    }
}
