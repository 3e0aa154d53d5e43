<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Way;
use Gravik\Breakdown\Pass;
use Gravik\Chart\Visit;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\ClashReport;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\RoleSuggestion;
use Gravik\Ensemble\Seat;
use Gravik\Ensemble\SharedRange;
use Gravik\Ensemble\Sounding;
use Gravik\Ensemble\Soundings;
use Gravik\Ensemble\Support;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'RoleChoice', required: ['slug', 'words'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Role::class),
    new OA\Property(property: 'words', type: 'string'),
])]
#[OA\Schema(schema: 'WayChoice', required: ['slug', 'words'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Way::class),
    new OA\Property(property: 'words', type: 'string'),
])]
#[OA\Schema(schema: 'BandMember', required: ['id', 'instrument', 'way', 'ways', 'register'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'instrument', type: 'string', enum: Instrument::class),
    new OA\Property(property: 'way', type: 'string', enum: Way::class, nullable: true),
    new OA\Property(property: 'ways', type: 'array', items: new OA\Items(ref: '#/components/schemas/WayChoice')),
    new OA\Property(property: 'register', description: 'lowest and highest MIDI note', type: 'array', items: new OA\Items(type: 'integer'), nullable: true),
])]
#[OA\Schema(schema: 'BandVisit', required: ['pass', 'section', 'name', 'time', 'from', 'bars', 'lead', 'roles', 'two_lead'], properties: [
    new OA\Property(property: 'pass', type: 'string'),
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(property: 'name', description: 'of the section', type: 'string'),
    new OA\Property(property: 'time', description: 'how often it has come in its pass, from 1', type: 'integer'),
    new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'lead', description: 'who leads in the pass', type: 'string'),
    new OA\Property(property: 'two_lead', description: 'whether more than one part comps actively', type: 'boolean'),
    new OA\Property(property: 'roles', description: 'in the order of the parts', type: 'array', items: new OA\Items(type: 'string', enum: Role::class)),
])]
#[OA\Schema(schema: 'Mend', required: ['words', 'change'], properties: [
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(
        property: 'change',
        description: 'worked out for the clash that is asked about alone',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Patch'),
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Clash', required: ['kind', 'title', 'text', 'severity', 'parts', 'bars', 'beats', 'mends'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'severity', description: '0 to 1', type: 'number'),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'bars', description: 'of the song, from 0; the one it is told of first', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'beats', description: 'of the first of them, from its bar line, where they sound', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'mends', type: 'array', items: new OA\Items(ref: '#/components/schemas/Mend')),
])]
#[OA\Schema(schema: 'Band', required: [
    'parts',
    'absent',
    'role_choices',
    'visits',
    'window',
    'clashes',
    'looked',
    'unlooked',
    'holds',
    'soloist',
    'soundings',
    'seats',
    'ranges',
    'suggestions',
    'supports',
], properties: [
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/BandMember')),
    new OA\Property(property: 'absent', description: 'who could join', type: 'array', items: new OA\Items(type: 'string', enum: Instrument::class)),
    new OA\Property(property: 'role_choices', type: 'array', items: new OA\Items(ref: '#/components/schemas/RoleChoice')),
    new OA\Property(property: 'visits', type: 'array', items: new OA\Items(ref: '#/components/schemas/BandVisit')),
    new OA\Property(property: 'window', ref: '#/components/schemas/BandWindow'),
    new OA\Property(property: 'clashes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Clash')),
    new OA\Property(property: 'looked', description: 'what was looked at', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'unlooked',
        description: 'what could not be looked at, and why',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'holds', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'suggestions', description: 'roles that would suit better', type: 'array', items: new OA\Items(
        required: ['part', 'pass', 'section', 'from', 'words', 'why'],
        properties: [
            new OA\Property(property: 'part', type: 'string'),
            new OA\Property(property: 'pass', type: 'string'),
            new OA\Property(property: 'section', type: 'string'),
            new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
            new OA\Property(property: 'words', description: 'the role', type: 'string'),
            new OA\Property(property: 'why', type: 'string'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'supports', description: 'what roles can be suggested for', type: 'array', items: new OA\Items(
        required: ['slug', 'words'],
        properties: [
            new OA\Property(property: 'slug', type: 'string', enum: Support::class),
            new OA\Property(property: 'words', type: 'string'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'soloist', description: 'sung, plucked, blown or bowed; null where nobody leads', type: 'string', nullable: true),
    new OA\Property(property: 'soundings', type: 'array', items: new OA\Items(required: ['part', 'below_db', 'least', 'most', 'over'], properties: [
        new OA\Property(property: 'part', type: 'string'),
        new OA\Property(property: 'below_db', description: 'below the soloist', type: 'number'),
        new OA\Property(property: 'least', description: 'that the soloist asks for, dB', type: 'number'),
        new OA\Property(property: 'most', type: 'number'),
        new OA\Property(property: 'over', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(
        property: 'ranges',
        description: 'what of each part that comps lies where the soloist is at home',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'seats', type: 'array', items: new OA\Items(ref: '#/components/schemas/Seat')),
])]
#[OA\Schema(schema: 'Seat', required: ['slug', 'words', 'gains_db', 'below_db'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Seat::class),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(
        property: 'gains_db',
        description: 'how much louder each part is here than in the mix, in the order of the parts',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(
        property: 'below_db',
        description: 'below the soloist, in the order of the soundings',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
])]
final class BandResource
{
    /**
     * @param list<RoleSuggestion> $suggestions
     * @param int $from    bar of the song with which the window begins
     * @param int $settled place of the clash whose repairs are worked out
     *
     * @return array<string, mixed>
     */
    public static function of(Heard $heard, ClashReport $report, array $suggestions, int $from, int $bars, int $settled): array
    {
        $parts = $heard->breakdown->parts;
        $soundings = Soundings::of($heard);
        $there = array_map(static fn (BandPart $part): Instrument => $part->instrument, $parts);

        return [
            'parts' => array_map(self::member(...), $parts),
            'absent' => array_values(array_map(
                static fn (Instrument $instrument): string => $instrument->value,
                array_filter(Instrument::cases(), static fn (Instrument $instrument): bool => ! in_array($instrument, $there, true)),
            )),
            'role_choices' => array_map(
                static fn (Role $role): array => ['slug' => $role->value, 'words' => $role->words()],
                Role::cases(),
            ),
            'visits' => array_map(static fn (Visit $visit): array => self::visit($heard, $visit), $heard->timeline->course->visits),
            'window' => BandWindowResource::of($heard, $from, $bars),
            'clashes' => array_map(
                static fn (Clash $clash, int $place): array => ClashResource::of($heard, $clash, $place === $settled),
                $report->clashes,
                array_keys($report->clashes),
            ),
            'looked' => array_map(static fn (ClashKind $kind): string => $kind->words(), $report->looked),
            'unlooked' => array_map(
                static fn (string $kind, string $why): string => ClashKind::from($kind)->words().': '.$why,
                array_keys($report->unlooked),
                $report->unlooked,
            ),
            'holds' => $report->holds,
            'suggestions' => array_map(static fn (RoleSuggestion $each): array => [
                'part' => $each->part->id,
                'pass' => $each->visit->pass,
                'section' => $each->visit->section->id,
                'from' => $each->visit->bar,
                'words' => $each->role->words(),
                'why' => $each->why,
            ], $suggestions),
            'supports' => array_map(
                static fn (Support $support): array => ['slug' => $support->value, 'words' => $support->words()],
                Support::cases(),
            ),
            'soloist' => $heard->part(Instrument::Lead) === null ? null : $soundings->kind->words(),
            'soundings' => array_map(static fn (Sounding $sounding): array => [
                'part' => $sounding->part->id,
                'below_db' => round($sounding->belowDb, 1),
                'least' => $sounding->asked[0],
                'most' => $sounding->asked[1],
                'over' => $sounding->part->instrument->isChordal() && $sounding->over() > 0,
            ], $soundings->parts),
            'ranges' => array_map(static fn (SharedRange $shared): string => $shared->words(), SharedRange::all($heard)),
            'seats' => array_map(static fn (Seat $seat): array => [
                'slug' => $seat->value,
                'words' => $seat->words(),
                'gains_db' => array_map(static fn (BandPart $part): float => round($seat->gainDb($part->instrument), 1), $parts),
                'below_db' => array_map(static fn (Sounding $sounding): float => round($sounding->belowFrom($seat), 1), $soundings->parts),
            ], Seat::cases()),
        ];
    }

    /** @return array<string, mixed> */
    private static function member(BandPart $part): array
    {
        $register = $part->register();

        return [
            'id' => $part->id,
            'instrument' => $part->instrument->value,
            'way' => $part->way()?->value,
            'ways' => array_map(static fn (Way $way): array => ['slug' => $way->value, 'words' => $way->words()], $part->instrument->ways()),
            'register' => $register === null ? null : [$register->low, $register->high],
        ];
    }

    /** @return array<string, mixed> */
    private static function visit(Heard $heard, Visit $visit): array
    {
        $pass = array_values(array_filter($heard->breakdown->passes, static fn (Pass $pass): bool => $pass->id === $visit->pass))[0] ?? null;
        $leading = array_filter($heard->chordal(), static fn (BandPart $part): bool => $heard->role($part, $visit->bar)->leads());

        return [
            'pass' => $visit->pass,
            'section' => $visit->section->id,
            'name' => $visit->section->name,
            'time' => $visit->time,
            'from' => $visit->bar,
            'bars' => $visit->bars,
            'lead' => $pass->lead ?? '',
            'two_lead' => count($leading) > 1,
            'roles' => array_map(static fn (BandPart $part): string => $heard->role($part, $visit->bar)->value, $heard->breakdown->parts),
        ];
    }
}
