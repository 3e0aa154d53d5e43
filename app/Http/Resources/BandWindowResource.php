<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\BandPart;
use Gravik\Ensemble\Heard;
use Gravik\Performance\Event;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BandStroke', required: ['beats', 'length', 'loud', 'notes', 'dead'], properties: [
    new OA\Property(property: 'beats', description: 'from the start of the window, where it sounds', type: 'number'),
    new OA\Property(property: 'length', description: 'beats', type: 'number'),
    new OA\Property(property: 'loud', description: '0 to 1, the loudest of its notes', type: 'number'),
    new OA\Property(property: 'notes', type: 'integer'),
    new OA\Property(property: 'dead', type: 'boolean'),
])]
#[OA\Schema(schema: 'BandWindow', required: ['from', 'bars', 'beats', 'bar_lines', 'chords', 'rows'], properties: [
    new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'beats', description: 'in all', type: 'integer'),
    new OA\Property(property: 'bar_lines', description: 'beats from its start', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(required: ['beats', 'symbol'], properties: [
        new OA\Property(property: 'beats', type: 'number'),
        new OA\Property(property: 'symbol', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'rows', description: 'a part each', type: 'array', items: new OA\Items(
        required: ['part', 'strokes'],
        properties: [
            new OA\Property(property: 'part', type: 'string'),
            new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/BandStroke')),
        ],
        type: 'object',
    )),
])]
final class BandWindowResource
{
    /** @return array<string, mixed> */
    public static function of(Heard $heard, int $from, int $bars): array
    {
        $course = $heard->timeline->course->bars;
        $from = max(0, min($from, count($course) - 1));
        $shown = array_slice($course, $from, $bars);
        $lines = [];
        $beats = 0;
        foreach ($shown as $bar) {
            $lines[] = $beats;
            $beats += $bar->meter->beats();
        }
        $chords = [];
        foreach ($heard->timeline->course->chords as $chord) {
            $bar = $heard->timeline->map->barAt($chord->tick);
            if ($bar >= $from && $bar < $from + count($shown)) {
                $chords[] = [
                    'beats' => $lines[$bar - $from] + self::beatsInto($heard, $bar, $chord->tick),
                    'symbol' => $chord->chord->text(),
                ];
            }
        }

        return [
            'from' => $from,
            'bars' => count($shown),
            'beats' => $beats,
            'bar_lines' => $lines,
            'chords' => $chords,
            'rows' => array_map(static fn (BandPart $part): array => [
                'part' => $part->id,
                'strokes' => array_merge([], ...array_map(
                    static fn (int $place, int $line): array => self::strokes($heard, $part, $from + $place, $line),
                    array_keys($lines),
                    $lines,
                )),
            ], $heard->breakdown->parts),
        ];
    }

    /** Where a tick sounds, in beats from the bar line of a bar. */
    public static function beatsInto(Heard $heard, int $bar, int $tick): float
    {
        return round(self::beats($heard, $bar, $heard->timeline->map->secondsAt($tick, 2)), 3);
    }

    private static function beats(Heard $heard, int $bar, float $seconds): float
    {
        $stretch = $heard->timeline->map->at($heard->timeline->course->bars[$bar]->tick);
        $start = $heard->timeline->map->secondsAt($heard->timeline->course->bars[$bar]->tick, 1);

        return ($seconds - $start) / $stretch->ruler->tempo->beatSeconds();
    }

    /** @return list<array<string, mixed>> notes struck together as one */
    private static function strokes(Heard $heard, BandPart $part, int $bar, int $line): array
    {
        $together = [];
        foreach ($heard->in($part, $bar) as $event) {
            $together[$event->tick][] = $event;
        }
        ksort($together);
        $beat = $heard->timeline->map->at($heard->timeline->course->bars[$bar]->tick)->ruler->tempo->beatSeconds();

        return array_map(static fn (array $events): array => [
            'beats' => round($line + self::beats($heard, $bar, min(array_map(static fn (Event $event): float => $event->t, $events))), 3),
            'length' => round(max(array_map(static fn (Event $event): float => $event->dur, $events)) / $beat, 3),
            'loud' => round(max(array_map(static fn (Event $event): float => $event->velocity, $events)), 3),
            'notes' => count($events),
            'dead' => array_filter($events, static fn (Event $event): bool => $event->pitch !== null) === [],
        ], array_values($together));
    }
}
