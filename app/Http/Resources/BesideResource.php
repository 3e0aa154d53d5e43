<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\Role;
use Gravik\Chart\Visit;
use Gravik\Ensemble\Beside;
use Gravik\Ensemble\BesideBar;
use Gravik\Ensemble\Heard;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BesideBar', required: ['bar', 'words', 'share', 'own', 'theirs', 'both'], properties: [
    new OA\Property(property: 'bar', description: 'of the song, from 0', type: 'integer'),
    new OA\Property(property: 'words', description: 'together, interlocking, nearly alike, or who is alone', type: 'string'),
    new OA\Property(property: 'share', description: 'of all slots struck that both strike', type: 'number'),
    new OA\Property(property: 'own', description: 'slots that the guitar strikes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'theirs', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'both', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Beside', required: ['offset_seconds', 'bars', 'ends', 'proposals'], properties: [
    new OA\Property(property: 'offset_seconds', description: 'at which bar 1 of the song lies in the part', type: 'number'),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(ref: '#/components/schemas/BesideBar')),
    new OA\Property(property: 'ends', description: 'last bars of sections in which the other strikes', type: 'array', items: new OA\Items(ref: '#/components/schemas/BesideBar')),
    new OA\Property(property: 'proposals', type: 'array', items: new OA\Items(required: ['pass', 'section', 'from', 'role', 'words', 'why'], properties: [
        new OA\Property(property: 'pass', type: 'string'),
        new OA\Property(property: 'section', type: 'string'),
        new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
        new OA\Property(property: 'role', description: 'of the guitar', type: 'string', enum: Role::class),
        new OA\Property(property: 'words', type: 'string'),
        new OA\Property(property: 'why', type: 'string'),
    ], type: 'object')),
])]
final class BesideResource
{
    /** @return array<string, mixed> */
    public static function of(Heard $heard, Beside $beside): array
    {
        return [
            'offset_seconds' => round($beside->offsetSeconds, 3),
            'bars' => array_map(static fn (BesideBar $bar): array => self::bar($heard, $bar), $beside->bars),
            'ends' => array_map(static fn (BesideBar $bar): array => self::bar($heard, $bar), $beside->ends),
            'proposals' => array_map(
                static fn (array $each): array => self::proposal(...$each),
                $beside->proposals($heard),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function bar(Heard $heard, BesideBar $bar): array
    {
        return [
            'bar' => $bar->bar,
            'words' => $bar->words(),
            'share' => round($bar->overlap->share, 2),
            'own' => array_map($heard->slotWords(...), $bar->own),
            'theirs' => array_map($heard->slotWords(...), $bar->theirs),
            'both' => array_map($heard->slotWords(...), $bar->overlap->shared),
        ];
    }

    /** @return array<string, mixed> */
    private static function proposal(Visit $visit, Role $role, string $why): array
    {
        return [
            'pass' => $visit->pass,
            'section' => $visit->section->id,
            'from' => $visit->bar,
            'role' => $role->value,
            'words' => $role->words(),
            'why' => $why,
        ];
    }
}
