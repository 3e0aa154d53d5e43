<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\ChordClock;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Length;
use Gravik\Strokes\LengthKind;
use Gravik\Time\TimeMap;

/**
 * When each string of each stroke falls silent: by its own length, at the latest when the string is struck again.
 *
 * @internal used by GuitarPart
 */
final readonly class StrokeEnds
{
    private const CHUCK_SECONDS = 0.05;

    private const GHOST_SECONDS = 0.07;

    /** A short stroke without a length of its own lasts this share of its slot. */
    private const SHORT_SHARE = 0.45;

    public function __construct(private TimeMap $map, private ChordClock $clock) {}

    /**
     * @param list<PlayedStroke> $strokes in order of time, without ends
     *
     * @return list<PlayedStroke> the same with ends
     */
    public function of(array $strokes): array
    {
        $nextOnString = [];
        $ended = [];
        for ($place = count($strokes) - 1; $place >= 0; $place--) {
            $played = $strokes[$place];
            $ends = [];
            $alike = $played->stroke->ends === [] ? $this->end($played, $played->stroke->length) : null;
            foreach ($played->strings as $order => $string) {
                $again = $nextOnString[$string] ?? INF;
                $dead = $played->stroke->isDeadOn($order, count($played->strings));
                $end = $dead ? $played->t + self::CHUCK_SECONDS : $alike ?? $this->end($played, $this->lengthOn($played, $string));
                $ends[] = max($played->t + 0.01, min($end, $again));
            }
            foreach ($played->stroke->freesTheHand() ? array_keys($played->voicing->frets) : $played->strings as $string) {
                $nextOnString[$string] = $played->t;
            }
            $ended[] = $played->ending($ends);
        }

        return array_reverse($ended);
    }

    private function lengthOn(PlayedStroke $played, int $string): ?Length
    {
        $number = count($played->voicing->frets) - $string;
        foreach ($played->stroke->ends as $end) {
            if (in_array($number, $end->strings, true)) {
                return $end->length;
            }
        }

        return $played->stroke->length;
    }

    private function end(PlayedStroke $played, ?Length $length): float
    {
        $stroke = $played->stroke;
        if ($stroke->articulation === Articulation::Ghost) {
            return $played->t + self::GHOST_SECONDS;
        }
        if ($length === null && $stroke->articulation === Articulation::Short) {
            $length = Length::ofSlot(self::SHORT_SHARE);
        }
        if ($length?->kind === LengthKind::ShareOfSlot) {
            return $played->t + $length->share * $this->slotSeconds($played);
        }
        $here = $this->map->secondsAt($played->tick, $stroke->division);
        $tick = $length?->kind === LengthKind::InTicks
            ? $played->tick + $length->ticks
            : $this->clock->changeAfter($played->tick, $played->chord);

        return $played->t + $this->map->secondsAt($tick, $stroke->division) - $here;
    }

    /** From this slot to the next of its division, swing included. */
    private function slotSeconds(PlayedStroke $played): float
    {
        $division = $played->stroke->division;
        $next = $played->tick + intdiv($this->map->at($played->tick)->ruler->meter->beatTicks(), $division);

        return $this->map->secondsAt($next, $division) - $this->map->secondsAt($played->tick, $division);
    }
}
