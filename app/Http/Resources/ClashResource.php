<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Ensemble\Clash;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use OpenApi\Attributes as OA;

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
    new OA\Property(
        property: 'bars',
        description: 'of the song, from 0; the one it is told of first',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(
        property: 'beats',
        description: 'of the first of them, from its bar line, where they sound',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'mends', type: 'array', items: new OA\Items(ref: '#/components/schemas/Mend')),
])]
final class ClashResource
{
    /**
     * @param bool $settled whether what its repairs would change is worked out
     *
     * @return array<string, mixed>
     */
    public static function of(Heard $heard, Clash $clash, bool $settled): array
    {
        return [
            'kind' => $clash->kind->value,
            'title' => $clash->kind->words(),
            'text' => $clash->text,
            'severity' => round($clash->severity, 3),
            'parts' => $clash->parts,
            'bars' => $clash->bars,
            'beats' => array_map(
                static fn (int $tick): float => BandWindowResource::beatsInto($heard, $clash->bars[0], $tick),
                $clash->ticks,
            ),
            'mends' => array_map(static fn (Mend $mend): array => [
                'words' => $mend->words,
                'change' => $settled ? DocumentChange::between($heard->breakdown, $mend->after()) : null,
            ], $clash->mends),
        ];
    }
}
