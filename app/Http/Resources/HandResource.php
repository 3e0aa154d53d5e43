<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\ArrangementDifferences;
use Gravik\Breakdown\Desk;
use Gravik\Formats\HandSketch;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Crossings;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\Hand\LimitKind;
use Gravik\Strokes\Hand\SchoolAdvice;
use Gravik\Strokes\Hand\SchoolInUse;
use Gravik\Strokes\Hand\TempoLimit;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Measures;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\SlotGrid;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HandStroke', required: ['at', 'slot', 'direction', 'beats', 'kind', 'accent'], properties: [
    new OA\Property(property: 'at', description: 'ticks', type: 'integer'),
    new OA\Property(property: 'slot', type: 'integer'),
    new OA\Property(property: 'direction', type: 'string', enum: Direction::class),
    new OA\Property(property: 'beats', description: 'where it sounds, swing included', type: 'number'),
    new OA\Property(property: 'kind', type: 'string', enum: ['ring', 'short', 'palm-mute', 'chuck', 'ghost', 'air']),
    new OA\Property(property: 'accent', type: 'integer'),
    new OA\Property(
        property: 'chord',
        description: 'whether it sounds the grip held, the next one (a push) or the open strings; none for air',
        type: 'string',
        enum: ChordOf::class,
    ),
    new OA\Property(
        property: 'ornament',
        description: 'how the fretting hand comes to or leaves its notes',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(property: 'by', description: 'what strikes; none for air', type: 'string', enum: PlayedBy::class),
    new OA\Property(property: 'stream', description: 'which line of the pattern it belongs to, from 0; none for air', type: 'integer'),
])]
#[OA\Schema(schema: 'HandSlot', required: ['slot', 'at', 'division', 'beats', 'syllable', 'on_beat'], properties: [
    new OA\Property(property: 'slot', type: 'integer'),
    new OA\Property(property: 'at', type: 'integer'),
    new OA\Property(property: 'beats', type: 'number'),
    new OA\Property(property: 'division', description: 'of its beat, for a stroke set there', type: 'integer'),
    new OA\Property(property: 'syllable', type: 'string'),
    new OA\Property(property: 'on_beat', type: 'boolean'),
])]
#[OA\Schema(schema: 'HandSketch', required: ['beats', 'beats_a_bar', 'p', 'strokes'], properties: [
    new OA\Property(property: 'beats', description: 'length of the pattern', type: 'integer'),
    new OA\Property(property: 'beats_a_bar', type: 'integer'),
    new OA\Property(property: 'p', description: 'share of the beat at which the off-beat falls', type: 'number'),
    new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/HandStroke')),
])]
#[OA\Schema(schema: 'HandLimit',
    description: 'tempos to which the hand holds; null for a pattern without strokes', required: ['easy_to', 'hard_to', 'why'],
    properties: [
    new OA\Property(property: 'easy_to', type: 'number'),
    new OA\Property(property: 'hard_to', type: 'number'),
    new OA\Property(property: 'why', type: 'string', enum: LimitKind::class),
])]
#[OA\Schema(schema: 'HandCrossings',
    description: 'from string to string in the pattern, and strings the pick comes round', required: ['count', 'around'], properties: [
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'around', type: 'integer'),
])]
#[OA\Schema(schema: 'Hand', required: [
    'pattern',
    'runs_on',
    'grid',
    'sketch',
    'slots',
    'warnings',
    'habits',
    'counted',
    'same_levels',
    'advice',
    'limit',
    'crossings',
    'density',
    'muted_share',
    'syncopation',
    'strokes_a_second',
    'beside_band',
], properties: [
    new OA\Property(property: 'pattern', description: 'its id', type: 'string'),
    new OA\Property(
        property: 'beside_band',
        description: 'what a guitar alone strikes otherwise than with the band; null for a pattern that stands in for none',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(
        property: 'runs_on',
        description: 'through sections that follow one another with it; else it begins anew with each',
        type: 'boolean',
    ),
    new OA\Property(property: 'grid', type: 'integer'),
    new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/HandSlot')),
    new OA\Property(property: 'warnings', type: 'array', items: new OA\Items(ref: '#/components/schemas/HandWarning')),
    new OA\Property(property: 'habits',
        description: 'what a new stroke of each line plays and with what; the last is a second line’s that is yet to come', type: 'array',
        items: new OA\Items(required: ['zone', 'action', 'by'], properties: [
        new OA\Property(property: 'zone', type: 'string'),
        new OA\Property(property: 'action', type: 'string'),
        new OA\Property(property: 'by', type: 'string'),
    ], type: 'object')),
    new OA\Property(
        property: 'counted',
        description: 'each line as it is counted aloud',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(
        property: 'same_levels',
        description: 'levels that leave out nothing of the one above them',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'advice', required: ['school', 'reason'], properties: [
        new OA\Property(
            property: 'school',
            type: 'string',
            enum: School::class,
        ),
        new OA\Property(property: 'reason', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'limit', ref: '#/components/schemas/HandLimit', nullable: true),
    new OA\Property(property: 'crossings', ref: '#/components/schemas/HandCrossings'),
    new OA\Property(property: 'density', type: 'number'),
    new OA\Property(property: 'muted_share', type: 'number'),
    new OA\Property(property: 'syncopation', type: 'number'),
    new OA\Property(property: 'strokes_a_second', type: 'number'),
])]
#[OA\Schema(schema: 'SchoolInUse', required: ['school', 'name', 'sketch', 'differs', 'crossings', 'limit', 'faults'], properties: [
    new OA\Property(
        property: 'school',
        type: 'string',
        enum: School::class,
    ),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
    new OA\Property(
        property: 'differs',
        description: 'ticks of the strokes that go the other way than in the school chosen now',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'crossings', ref: '#/components/schemas/HandCrossings'),
    new OA\Property(property: 'limit', ref: '#/components/schemas/HandLimit', nullable: true),
    new OA\Property(
        property: 'faults',
        description: 'what this school cannot do, or finds hard at this tempo',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
])]
final class HandResource
{
    /**
     * @param ?int            $grid    slots a beat to show; the pattern's own where null
     * @param array<int, int> $divided beats to show in a division of their own
     *
     * @return array<string, mixed>
     */
    public static function of(Desk $desk, HandPlan $hand, Ruler $ruler, Tempo $practice, ?int $grid, array $divided = []): array
    {
        $measures = Measures::of($hand->pattern, $ruler);
        $advice = SchoolAdvice::for($desk->pattern());

        return [
            'pattern' => $desk->named()->id,
            'beside_band' => ArrangementDifferences::words($desk->breakdown, $desk->named()),
            'runs_on' => $desk->named()->runsOn,
            'grid' => $grid ?? $desk->pattern()->grid(),
            'sketch' => HandSketch::of($hand, $ruler),
            'slots' => self::slots($desk->pattern(), $ruler, $grid, $divided),
            'warnings' => array_map(
                static fn (Warning $warning): array => WarningResource::of($desk, $warning, $practice),
                $hand->warnings,
            ),
            'habits' => self::habits($desk->pattern()),
            'counted' => array_map(
                static fn (int $line): string => CountLine::write($desk->pattern(), $line),
                array_keys($desk->pattern()->streams),
            ),
            'same_levels' => (new Levels())->sameAsAbove($desk->pattern()),
            'advice' => ['school' => $advice->school->value, 'reason' => $advice->reason],
            'limit' => self::limit(TempoLimit::of($hand->pattern)),
            'crossings' => self::crossings(Crossings::of($hand->pattern->strokes())),
            'density' => round($measures->density, 2),
            'muted_share' => round($measures->mutedShare, 3),
            'syncopation' => round($measures->syncopation, 2),
            'strokes_a_second' => round($measures->strokesASecond, 2),
        ];
    }

    /**
     * @param array<int, int> $divided beat => its division, before the grid
     *
     * @return list<array<string, mixed>>
     */
    public static function slots(Pattern $pattern, Ruler $ruler, ?int $grid = null, array $divided = []): array
    {
        $slots = SlotGrid::of($pattern, $grid, $divided);

        return array_map(static fn (array $slot, int $number): array => [
            'slot' => $number,
            'at' => $slot['at'],
            'division' => $slot['division'],
            'beats' => round($ruler->beatsAt($slot['at'], $slot['division']), 6),
            'syllable' => $slot['syllable'],
            'on_beat' => $slot['onBeat'],
        ], $slots, array_keys($slots));
    }

    /** @return list<array<string, string>> what a new stroke plays and with what, in each line and in a second one that is yet to come */
    private static function habits(Pattern $pattern): array
    {
        $lines = count($pattern->streams) < 2 ? [...$pattern->streams, Stream::second()] : $pattern->streams;

        return array_map(static function (Stream $line): array {
            [$zone, $action, $by] = $line->usualWay();

            return ['zone' => $zone->value, 'action' => $action->value, 'by' => $by->value];
        }, $lines);
    }

    /** @return array<string, mixed> */
    public static function school(SchoolInUse $use, Ruler $ruler): array
    {
        return [
            'school' => $use->school->value,
            'name' => $use->school->words(),
            'sketch' => HandSketch::of($use->hand, $ruler),
            'differs' => $use->differs,
            'crossings' => self::crossings($use->crossings),
            'limit' => self::limit($use->limit),
            'faults' => array_map(static fn (Warning $warning): string => $warning->text, $use->hand->warnings),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function limit(?TempoLimit $limit): ?array
    {
        return $limit === null
            ? null
            : ['easy_to' => round($limit->easyTo, 1), 'hard_to' => round($limit->hardTo, 1), 'why' => $limit->why->value];
    }

    /** @return array<string, int> */
    private static function crossings(Crossings $crossings): array
    {
        return ['count' => $crossings->count, 'around' => $crossings->around];
    }
}
