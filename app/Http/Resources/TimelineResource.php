<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\Instrument;
use Gravik\Breakdown\Desk;
use Gravik\Chart\CourseBar;
use Gravik\Chart\CourseChord;
use Gravik\Performance\CountAloud;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\HandInUse;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\ResetAccents;
use Gravik\Performance\StrokeFaults;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\OrnamentKind;
use Gravik\Time\FeelWords;
use Gravik\Time\Tempo;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TimedEvent', required: ['part', 't', 'dur', 'pitch', 'velocity', 'kind'], properties: [
    new OA\Property(property: 'part', type: 'string', enum: Instrument::class),
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'dur', type: 'number'),
    new OA\Property(property: 'pitch', type: 'integer', nullable: true),
    new OA\Property(property: 'velocity', type: 'number'),
    new OA\Property(property: 'kind', type: 'string', enum: EventKind::class),
    new OA\Property(
        property: 'mellow',
        description: 'share of a one-pole low-pass by which it is darker than its voice; 0 where nothing is said',
        type: 'number',
    ),
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'direction', type: 'string', enum: Direction::class),
    new OA\Property(
        property: 'glide',
        description: 'seconds from its start and semitones from its pitch, where an ornament moves it',
        type: 'array',
        items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
    ),
])]
#[OA\Schema(schema: 'TimedStroke', required: [
    't',
    'until',
    'slot',
    'pattern',
    'at',
    'bar',
    'chord',
    'direction',
    'kind',
    'accent',
    'strings',
    'ends',
], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'until', description: 'seconds when its last string falls silent', type: 'number'),
    new OA\Property(property: 'slot', type: 'integer'),
    new OA\Property(property: 'pattern', description: 'id of it, or of the figure that is played there', type: 'string', nullable: true),
    new OA\Property(property: 'at', description: 'ticks in the pattern or figure', type: 'integer'),
    new OA\Property(property: 'line', description: 'of the pattern or figure, from 0; the first where nothing is said', type: 'integer'),
    new OA\Property(property: 'figure_bar', description: 'bar of the song, from 0, in which the figure begins', type: 'integer'),
    new OA\Property(property: 'ornament', type: 'string', enum: OrnamentKind::class),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'chord', type: 'integer'),
    new OA\Property(property: 'direction', type: 'string', enum: Direction::class),
    new OA\Property(property: 'kind', type: 'string', enum: Articulation::class),
    new OA\Property(property: 'accent', type: 'integer'),
    new OA\Property(
        property: 'strings',
        description: 'string numbers struck, in the order the pick meets them',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(
        property: 'ends',
        description: 'seconds when each of them falls silent',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
])]
#[OA\Schema(schema: 'TimedChord', required: ['t', 'until', 'bar', 'written', 'symbol'], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'until', type: 'number'),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(
        property: 'written',
        description: 'which of the written chords it is, as the line of grips counts them',
        type: 'integer',
    ),
    new OA\Property(property: 'symbol', type: 'string'),
])]
#[OA\Schema(schema: 'TimedPattern', required: ['id', 'first_slot', 'bars'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(
        property: 'first_slot',
        description: 'number of its first slot: the slots of all patterns played are counted through',
        type: 'integer',
    ),
    new OA\Property(property: 'bars', type: 'integer'),
])]
#[OA\Schema(schema: 'Timeline', required: [
    'tempo',
    'ratio',
    'p',
    'seconds',
    'bars',
    'passes',
    'patterns',
    'counts',
    'chords',
    'strokes',
    'events',
    'feel_words',
    'off_beat_ms',
    'warnings',
], properties: [
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'ratio', type: 'number'),
    new OA\Property(property: 'p', type: 'number'),
    new OA\Property(property: 'seconds', type: 'number'),
    new OA\Property(
        property: 'bars',
        description: 'every bar as it is played: whoever follows the song looks up here where it is',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/TimedBar'),
    ),
    new OA\Property(property: 'passes', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedPass')),
    new OA\Property(
        property: 'patterns',
        description: 'that the guitar plays',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/TimedPattern'),
    ),
    new OA\Property(property: 'counts',
        description: 'the patterns counted aloud: seconds, and 0 for a bar, 1 a beat, 2 its division, 3 finer', type: 'array',
        items: new OA\Items(required: ['t', 'depth'], properties: [
        new OA\Property(property: 't', type: 'number'),
        new OA\Property(property: 'depth', type: 'integer', enum: [0, 1, 2, 3]),
    ], type: 'object')),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedChord')),
    new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedStroke')),
    new OA\Property(property: 'events', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimedEvent')),
    new OA\Property(property: 'feel_words', type: 'string'),
    new OA\Property(property: 'off_beat_ms', description: 'how much later than straight the off-beat sounds', type: 'number'),
    new OA\Property(
        property: 'warnings',
        description: 'what the pattern and the song do not have together: strokes that the grips cannot take, weight that signals nothing',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/HandWarning'),
    ),
])]
final class TimelineResource
{
    /**
     * @param Desk   $desk     the place that is worked at: warnings are about its pattern
     * @param ?Tempo $practice that the song's own tempo became
     *
     * @return array<string, mixed>
     */
    public static function of(Desk $desk, ?Tempo $practice, Timeline $timeline): array
    {
        $ruler = $timeline->map->first();

        return [
            'tempo' => $ruler->tempo->bpm,
            'ratio' => round($ruler->ratio, 5),
            'p' => round($ruler->p, 6),
            'seconds' => $timeline->seconds,
            'bars' => array_map(static fn (CourseBar $bar): array => TimedBarResource::of($timeline, $bar), $timeline->course->bars),
            'passes' => TimedPassResource::all($desk->breakdown, $timeline),
            'patterns' => array_map(
                static fn (HandInUse $hand): array => [
                    'id' => $hand->named->id,
                    'first_slot' => $hand->firstSlot,
                    'bars' => $hand->plan->pattern->bars(),
                ],
                $timeline->hands(),
            ),
            'counts' => array_map(
                static fn (array $said): array => ['t' => round($said['t'], 6), 'depth' => $said['depth']],
                CountAloud::through($timeline),
            ),
            'chords' => array_map(static fn (CourseChord $chord): array => [
                't' => round($timeline->map->secondsAt($chord->tick, 1), 6),
                'until' => round($timeline->map->secondsAt($chord->tick + $chord->ticks, 1), 6),
                'bar' => $timeline->map->barAt($chord->tick),
                'written' => $chord->written,
                'symbol' => $chord->chord->text(),
            ], $timeline->course->chords),
            'strokes' => array_map(static fn (PlayedStroke $stroke): array => self::stroke($timeline, $stroke), $timeline->strokes),
            'events' => self::events($timeline),
            'off_beat_ms' => round($desk->breakdown->start->feel->offBeatMs($ruler->tempo), 1),
            'feel_words' => FeelWords::of($desk->breakdown->start->feel, $ruler->tempo),
            'warnings' => self::warnings($desk, $practice ?? $desk->breakdown->start->tempo, $timeline),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function warnings(Desk $desk, Tempo $practice, Timeline $timeline): array
    {
        $voiced = $timeline->voiced[$desk->line()->id] ?? null;
        foreach ($timeline->hands() as $hand) {
            if ($hand->named->id === $desk->named()->id && $voiced !== null) {
                $warnings = array_filter([
                    ...(new StrokeFaults())->of($voiced, $hand->plan),
                    (new ResetAccents())->question($timeline, $hand),
                ]);

                return array_map(
                    static fn (Warning $warning): array => WarningResource::of($desk, $warning, $practice, $voiced),
                    array_values($warnings),
                );
            }
        }

        return [];
    }

    /** @return list<array<string, mixed>> */
    public static function events(Timeline $timeline): array
    {
        return array_map(self::event(...), $timeline->events);
    }

    /** @return array<string, mixed> what an event does not have is left out: a song has thousands of them */
    private static function event(Event $event): array
    {
        $told = [
            'part' => $event->part->instrument->value,
            't' => round($event->t, 6),
            'dur' => round($event->dur, 6),
            'pitch' => $event->pitch,
            'velocity' => round($event->velocity, 4),
        ];
        if ($event->string !== null) {
            $told['string'] = $event->string;
        }
        if ($event->fret !== null) {
            $told['fret'] = $event->fret;
        }
        if ($event->direction !== null) {
            $told['direction'] = $event->direction->value;
        }
        if ($event->glide !== []) {
            $told['glide'] = array_map(static fn (array $point): array => [round($point[0], 4), round($point[1], 3)], $event->glide);
        }
        $told['kind'] = $event->kind->value;
        if ($event->mellow() > 0.0) {
            $told['mellow'] = $event->mellow();
        }

        return $told;
    }

    /** @return array<string, mixed> */
    private static function stroke(Timeline $timeline, PlayedStroke $stroke): array
    {
        $span = $timeline->spanAt($stroke->tick);
        $strings = count($stroke->voicing->frets);
        // Most strokes are of a pattern's first line: what is not is told only then.
        $ornament = array_values($stroke->ornaments)[0] ?? $stroke->stroke->ornament;
        $more = array_filter([
            'line' => $stroke->line === 0 ? null : $stroke->line,
            'figure_bar' => $stroke->of?->bar,
            'ornament' => $ornament?->kind->value,
        ], static fn (int|string|null $told): bool => $told !== null);

        return $more + [
            't' => round($stroke->t, 6),
            'until' => round(max([$stroke->t, ...$stroke->ends]), 6),
            'slot' => $stroke->slot,
            'pattern' => $stroke->of->figure ?? $span?->hand->named->id,
            'at' => $stroke->of->at ?? $span?->inPattern($stroke->tick) ?? 0,
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
