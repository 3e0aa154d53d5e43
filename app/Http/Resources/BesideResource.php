<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Ensemble\Beside;
use Gravik\Ensemble\BesideBar;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Likeness;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BesideBar', required: ['bar', 'likeness', 'words', 'share', 'own', 'theirs', 'both'], properties: [
    new OA\Property(property: 'bar', description: 'of the song, from 0', type: 'integer'),
    new OA\Property(property: 'likeness', type: 'string', enum: Likeness::class),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'share', description: 'of all slots struck that both strike', type: 'number'),
    new OA\Property(property: 'own', description: 'slots that the guitar strikes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'theirs', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'both', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Beside', required: ['offset_seconds', 'alignments', 'bars', 'ends', 'proposals'], properties: [
    new OA\Property(property: 'offset_seconds', description: 'at which bar 1 of the song lies in the part', type: 'number'),
    new OA\Property(
        property: 'alignments',
        description: 'where bar 1 may as well lie, and on what the first stroke then falls; none where it was told',
        type: 'array',
        items: new OA\Items(required: ['offset_seconds', 'first'], properties: [
            new OA\Property(property: 'offset_seconds', type: 'number'),
            new OA\Property(property: 'first', type: 'string'),
        ], type: 'object'),
    ),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(ref: '#/components/schemas/BesideBar')),
    new OA\Property(
        property: 'ends',
        description: 'last bars of sections in which the other strikes',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/BesideBar'),
    ),
    new OA\Property(
        property: 'proposals',
        description: 'roles of the guitar beside it',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/RoleSuggestion'),
    ),
])]
final class BesideResource
{
    /** @return array<string, mixed> */
    public static function of(Heard $heard, Beside $beside): array
    {
        return [
            'offset_seconds' => round($beside->offsetSeconds, 3),
            'alignments' => array_map(
                static fn (int $tick, float $offset): array => ['offset_seconds' => round($offset, 3), 'first' => $heard->slotWords($tick)],
                array_keys($beside->alignments),
                $beside->alignments,
            ),
            'bars' => array_map(static fn (BesideBar $bar): array => self::bar($heard, $bar), $beside->bars),
            'ends' => array_map(static fn (BesideBar $bar): array => self::bar($heard, $bar), $beside->ends),
            'proposals' => array_map(RoleSuggestionResource::of(...), $beside->proposals($heard)),
        ];
    }

    /** @return array<string, mixed> */
    private static function bar(Heard $heard, BesideBar $bar): array
    {
        return [
            'bar' => $bar->bar,
            'likeness' => $bar->likeness()->value,
            'words' => $bar->likeness()->words(),
            'share' => round($bar->overlap->share, 2),
            'own' => array_map($heard->slotWords(...), $bar->own),
            'theirs' => array_map($heard->slotWords(...), $bar->theirs),
            'both' => array_map($heard->slotWords(...), $bar->overlap->shared),
        ];
    }
}
