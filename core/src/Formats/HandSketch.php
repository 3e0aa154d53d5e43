<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Hand\AirStroke;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Time\Ruler;

/** A pattern as the hand plays it, in the few figures that a picture of it needs. */
final readonly class HandSketch
{
    /** @return array<string, mixed> */
    public static function of(HandPlan $hand, Ruler $ruler): array
    {
        $slotTicks = $hand->pattern->slotTicks();
        $struck = [];
        foreach ($hand->pattern->streams as $number => $stream) {
            foreach ($stream->strokes as $stroke) {
                $struck[] = [
                    'at' => $stroke->at,
                    'slot' => intdiv($stroke->at, $slotTicks),
                    'direction' => $stroke->direction->value ?? 'down',
                    'beats' => round($ruler->beatsAt($stroke->at, $stroke->division), 6),
                    'kind' => ($stroke->isDead() ? Articulation::Chuck : $stroke->articulation)->value,
                    'accent' => $stroke->accent,
                    'chord' => $stroke->chord->value,
                    'ornament' => $stroke->ornament?->kind->value,
                    'stream' => $number,
                    'by' => $stroke->by->value,
                ];
            }
        }
        $air = array_map(static fn (AirStroke $stroke): array => [
            'at' => $stroke->at,
            'slot' => intdiv($stroke->at, $slotTicks),
            'direction' => $stroke->direction->value,
            'beats' => round($ruler->beatsAt($stroke->at, $stroke->division), 6),
            'kind' => 'air',
            'accent' => 0,
        ], $hand->air);
        $all = [...$struck, ...$air];
        usort($all, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);

        return [
            'beats' => intdiv($hand->pattern->ticks, $hand->pattern->meter->beatTicks()),
            'beats_a_bar' => $hand->pattern->meter->beats(),
            'p' => round($ruler->p, 6),
            'strokes' => $all,
        ];
    }
}
