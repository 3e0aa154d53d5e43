<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Performance\CountAloud;
use Gravik\Performance\Event;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\ResetAccents;
use Gravik\Performance\StrokeFaults;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Warning;
use Gravik\Time\FeelWords;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TimedEvent', required: ['part', 't', 'dur', 'pitch', 'velocity', 'kind'], properties: [
    new OA\Property(property: 'part', type: 'string', enum: ['drums', 'bass', 'guitar']),
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'dur', type: 'number'),
    new OA\Property(property: 'pitch', type: 'integer', nullable: true),
    new OA\Property(property: 'velocity', type: 'number'),
    new OA\Property(property: 'kind', type: 'string', enum: ['ring', 'short', 'palm-mute', 'chuck', 'ghost', 'bass', 'drum']),
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'direction', type: 'string', enum: ['down', 'up']),
    new OA\Property(property: 'glide', description: 'seconds from its start and semitones from its pitch, where an ornament moves it', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
])]
#[OA\Schema(schema: 'TimedStroke', required: ['t', 'until', 'slot', 'at', 'bar', 'chord', 'direction', 'kind', 'accent', 'strings', 'ends'], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'until', description: 'seconds when its last string falls silent', type: 'number'),
    new OA\Property(property: 'slot', type: 'integer'),
    new OA\Property(property: 'at', description: 'ticks in the pattern', type: 'integer'),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'chord', type: 'integer'),
    new OA\Property(property: 'direction', type: 'string', enum: ['down', 'up']),
    new OA\Property(property: 'kind', type: 'string', enum: ['ring', 'short', 'palm-mute', 'chuck', 'ghost']),
    new OA\Property(property: 'accent', type: 'integer'),
    new OA\Property(property: 'strings', description: 'string numbers struck, in the order the pick meets them', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'ends', description: 'seconds when each of them falls silent', type: 'array', items: new OA\Items(type: 'number')),
])]
#[OA\Schema(schema: 'TimedChord', required: ['t', 'until', 'bar', 'symbol'], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'until', type: 'number'),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'symbol', type: 'string'),
])]
#[OA\Schema(schema: 'Timeline', required: ['tempo', 'ratio', 'p', 'seconds', 'beat_seconds', 'beats_a_bar', 'bars', 'pattern_bars', 'beat_times', 'off_beat_times', 'counts', 'chords', 'strokes', 'events', 'feel_words', 'off_beat_ms', 'warnings'], properties: [
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'ratio', type: 'number'),
    new OA\Property(property: 'p', type: 'number'),
    new OA\Property(property: 'seconds', type: 'number'),
    new OA\Property(property: 'beat_seconds', type: 'number'),
    new OA\Property(property: 'beats_a_bar', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'pattern_bars', type: 'integer'),
    new OA\Property(property: 'beat_times', description: 'seconds of every beat of the form', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'off_beat_times', description: 'seconds of the middle of every beat, leaning with the feel', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'counts', description: 'the pattern counted aloud through the form: seconds, and 0 for a bar, 1 a beat, 2 its division, 3 finer', type: 'array', items: new OA\Items(required: ['t', 'depth'], properties: [
        new OA\Property(property: 't', type: 'number'),
        new OA\Property(property: 'depth', type: 'integer', enum: [0, 1, 2, 3]),
    ], type: 'object')),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedChord')),
    new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedStroke')),
    new OA\Property(property: 'events', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedEvent')),
    new OA\Property(property: 'feel_words', type: 'string'),
    new OA\Property(property: 'off_beat_ms', description: 'how much later than straight the off-beat sounds', type: 'number'),
    new OA\Property(property: 'warnings', description: 'what the pattern and the form do not have together: strokes that the grips cannot take, weight that signals nothing', type: 'array', items: new OA\Items(ref: '#/components/schemas/HandWarning')),
])]
final class TimelineResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown, Timeline $timeline): array
    {
        $meter = $breakdown->meter;
        $form = $timeline->voiced->form;
        $ruler = $timeline->ruler;
        $beat = $ruler->tempo->beatSeconds();
        $bars = count($form->bars);

        return [
            'tempo' => $ruler->tempo->bpm,
            'ratio' => round($ruler->ratio, 5),
            'p' => round($ruler->p, 6),
            'seconds' => $timeline->seconds,
            'beat_seconds' => $beat,
            'beats_a_bar' => $meter->beats(),
            'bars' => $bars,
            'pattern_bars' => $timeline->hand->pattern->bars(),
            'beat_times' => $bars === 0 ? [] : array_map(static fn (int $number): float => round($number * $beat, 6), range(0, $bars * $meter->beats() - 1)),
            'off_beat_times' => $bars === 0 ? [] : array_map(static fn (int $number): float => round($ruler->secondsAt($number * $meter->beatTicks() + intdiv($meter->beatTicks(), 2), 2), 6), range(0, $bars * $meter->beats() - 1)),
            'counts' => array_map(static fn (array $said): array => ['t' => round($said['t'], 6), 'depth' => $said['depth']], CountAloud::through($breakdown->pattern, $bars, $ruler)),
            'chords' => array_map(static fn ($chord): array => [
                't' => round($ruler->secondsAt($chord->formTicks, 1), 6),
                'until' => round($ruler->secondsAt($chord->formTicks + $chord->ticks, 1), 6),
                'bar' => intdiv($chord->formTicks, $meter->barTicks()),
                'symbol' => $chord->chord->text(),
            ], $form->chords),
            'strokes' => array_map(static fn (PlayedStroke $stroke): array => self::stroke($stroke, $timeline->hand->pattern->ticks), $timeline->strokes),
            'events' => self::events($timeline),
            'off_beat_ms' => round($breakdown->feel->offBeatMs($ruler->tempo), 1),
            'feel_words' => FeelWords::of($breakdown->feel, $ruler->tempo),
            'warnings' => array_map(static fn (Warning $warning): array => WarningResource::of($breakdown, $warning, $ruler->tempo, $timeline->voiced), array_filter([...(new StrokeFaults())->of($timeline->voiced, $timeline->hand), (new ResetAccents())->question($timeline)])),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function events(Timeline $timeline): array
    {
        return array_map(static fn (Event $event): array => [
            'part' => $event->part->value,
            't' => round($event->t, 6),
            'dur' => round($event->dur, 6),
            'pitch' => $event->pitch,
            'velocity' => round($event->velocity, 4),
        ] + array_filter(['string' => $event->string, 'fret' => $event->fret, 'direction' => $event->direction?->value], static fn ($value): bool => $value !== null) + ($event->glide === [] ? [] : ['glide' => array_map(static fn (array $point): array => [round($point[0], 4), round($point[1], 3)], $event->glide)])
            + ['kind' => $event->kind->value], $timeline->events);
    }

    /** @return array<string, mixed> */
    private static function stroke(PlayedStroke $stroke, int $patternTicks): array
    {
        $strings = count($stroke->voicing->frets);

        return [
            't' => round($stroke->t, 6),
            'until' => round(max([$stroke->t, ...$stroke->ends]), 6),
            'slot' => $stroke->slot,
            'at' => $stroke->formTick % $patternTicks,
            'bar' => $stroke->bar,
            'chord' => $stroke->chord,
            'direction' => $stroke->stroke->direction->value ?? 'down',
            'kind' => $stroke->stroke->articulation->value,
            'accent' => $stroke->stroke->accent,
            'strings' => array_map(static fn (int $index): int => $strings - $index, $stroke->strings),
            'ends' => array_map(static fn (float $end): float => round($end, 4), $stroke->ends),
        ];
    }
}
