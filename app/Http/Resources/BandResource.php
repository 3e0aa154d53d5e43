<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Register;
use Gravik\Band\Role;
use Gravik\Band\Timbre;
use Gravik\Band\Way;
use Gravik\Chart\Visit;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\ClashReport;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\RoleSuggestion;
use Gravik\Ensemble\Support;
use Gravik\Harmony\Key;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'RoleChoice', required: ['slug', 'words'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Role::class),
    new OA\Property(property: 'words', type: 'string'),
])]
#[OA\Schema(schema: 'WayChoice', required: ['slug', 'words'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Way::class),
    new OA\Property(property: 'words', type: 'string'),
])]
#[OA\Schema(schema: 'BandMember', required: [
    'id',
    'instrument',
    'words',
    'way',
    'ways',
    'timbres',
    'register',
    'register_words',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'instrument', type: 'string', enum: Instrument::class),
    new OA\Property(property: 'words', description: 'what the part is called', type: 'string'),
    new OA\Property(property: 'way', type: 'string', enum: Way::class, nullable: true),
    new OA\Property(property: 'ways', type: 'array', items: new OA\Items(ref: '#/components/schemas/WayChoice')),
    new OA\Property(
        property: 'register',
        description: 'lowest and highest MIDI note',
        type: 'array',
        items: new OA\Items(type: 'integer'),
        nullable: true,
    ),
    new OA\Property(property: 'register_words', description: 'E3–E5', type: 'string'),
    new OA\Property(
        property: 'timbres',
        description: 'what it can sound like, the usual one first; none where there is no choice',
        type: 'array',
        items: new OA\Items(type: 'string', enum: Timbre::class),
    ),
])]
#[OA\Schema(schema: 'RegisterLimits', required: ['lowest', 'highest', 'narrowest'], properties: [
    new OA\Property(property: 'lowest', type: 'integer'),
    new OA\Property(property: 'highest', type: 'integer'),
    new OA\Property(property: 'narrowest', description: 'half steps', type: 'integer'),
])]
#[OA\Schema(schema: 'BandVisit', required: [
    'pass', 'section', 'name', 'time', 'from', 'bars', 'lead', 'roles', 'too_many_lead',
], properties: [
    new OA\Property(property: 'pass', type: 'string'),
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(property: 'name', description: 'of the section', type: 'string'),
    new OA\Property(property: 'time', description: 'how often it has come in its pass, from 1', type: 'integer'),
    new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'lead', description: 'who leads in the pass', type: 'string'),
    new OA\Property(
        property: 'too_many_lead',
        description: 'parts that comp actively, where more than one does',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(
        property: 'roles',
        description: 'in the order of the parts',
        type: 'array',
        items: new OA\Items(type: 'string', enum: Role::class),
    ),
])]
#[OA\Schema(schema: 'Band', required: [
    'parts',
    'absent',
    'registers',
    'role_choices',
    'visits',
    'window',
    'clashes',
    'looked',
    'unlooked',
    'holds',
    'soundings',
    'suggestions',
    'supports',
], properties: [
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/BandMember')),
    new OA\Property(
        property: 'absent',
        description: 'who could join',
        type: 'array',
        items: new OA\Items(required: ['slug', 'words'], properties: [
            new OA\Property(property: 'slug', type: 'string', enum: Instrument::class),
            new OA\Property(property: 'words', type: 'string'),
        ], type: 'object'),
    ),
    new OA\Property(property: 'registers', ref: '#/components/schemas/RegisterLimits'),
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
    new OA\Property(
        property: 'suggestions',
        description: 'roles that would suit better',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/RoleSuggestion'),
    ),
    new OA\Property(property: 'supports', description: 'what roles can be suggested for', type: 'array', items: new OA\Items(
        required: ['slug', 'words'],
        properties: [
            new OA\Property(property: 'slug', type: 'string', enum: Support::class),
            new OA\Property(property: 'words', type: 'string'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'soundings', ref: '#/components/schemas/Soundings'),
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
        $there = array_map(static fn (BandPart $part): Instrument => $part->instrument, $parts);

        return [
            'parts' => array_map(static fn (BandPart $part): array => self::member($part, $heard->breakdown->start->key), $parts),
            'absent' => array_values(array_map(
                static fn (Instrument $instrument): array => ['slug' => $instrument->value, 'words' => $instrument->words()],
                array_filter(Instrument::cases(), static fn (Instrument $instrument): bool => ! in_array($instrument, $there, true)),
            )),
            'registers' => ['lowest' => Register::LOWEST, 'highest' => Register::HIGHEST, 'narrowest' => Register::NARROWEST],
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
            'suggestions' => array_map(RoleSuggestionResource::of(...), $suggestions),
            'supports' => array_map(
                static fn (Support $support): array => ['slug' => $support->value, 'words' => $support->words()],
                Support::cases(),
            ),
            'soundings' => SoundingsResource::of($heard),
        ];
    }

    /** @return array<string, mixed> */
    private static function member(BandPart $part, Key $key): array
    {
        $register = $part->register();

        return [
            'id' => $part->id,
            'instrument' => $part->instrument->value,
            'way' => $part->way()?->value,
            'ways' => array_map(
                static fn (Way $way): array => ['slug' => $way->value, 'words' => $way->words()],
                $part->instrument->ways(),
            ),
            'words' => $part->id === $part->instrument->value ? $part->instrument->label() : $part->id,
            'register' => $register === null ? null : [$register->low, $register->high],
            'register_words' => $register === null ? '' : $key->noteWords($register->low).'–'.$key->noteWords($register->high),
            'timbres' => $part->instrument === Instrument::Keys ? array_column(Timbre::cases(), 'value') : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function visit(Heard $heard, Visit $visit): array
    {
        $leading = $heard->leading($visit->bar);

        return [
            'pass' => $visit->pass,
            'section' => $visit->section->id,
            'name' => $visit->section->name,
            'time' => $visit->time,
            'from' => $visit->bar,
            'bars' => $visit->bars,
            'lead' => $heard->soloist($visit),
            'too_many_lead' => count($leading) < 2 ? [] : array_map(static fn (BandPart $part): string => $part->id, $leading),
            'roles' => array_map(static fn (BandPart $part): string => $heard->role($part, $visit->bar)->value, $heard->breakdown->parts),
        ];
    }
}
