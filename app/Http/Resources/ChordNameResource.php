<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Harmony\ChordName;
use Gravik\Harmony\Degree;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ChordName', required: ['symbol', 'degrees', 'omitted', 'why'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(
        property: 'degrees',
        description: 'of each sounding string, from the lowest',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'omitted', description: 'R or 5 where it does not sound', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'why', type: 'string'),
])]
final class ChordNameResource
{
    /** @return array{symbol: string, degrees: list<string>, omitted: list<string>, why: string} */
    public static function of(ChordName $name): array
    {
        $label = static fn (Degree $degree): string => $degree->label();

        return [
            'symbol' => $name->chord->text(),
            'degrees' => array_map($label, $name->degrees),
            'omitted' => array_map($label, $name->omitted),
            'why' => $name->why,
        ];
    }
}
