<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Remark;
use Gravik\Formats\BreakdownJson;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Remark', required: ['kind', 'place', 'text', 'fixes'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'place', ref: '#/components/schemas/Place', nullable: true),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(
        property: 'fixes',
        description: 'the nearest first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Fix'),
    ),
])]
final class RemarkResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown, Remark $remark): array
    {
        return [
            'kind' => $remark->kind->value,
            'place' => $remark->place === null ? null : BreakdownJson::place($remark->place),
            'text' => $remark->text,
            'fixes' => array_map(
                static fn (array $fix): array => [
                    'text' => $fix['text'],
                    'change' => DocumentChange::between($breakdown, $fix['breakdown']),
                ],
                $remark->fixes,
            ),
        ];
    }
}
