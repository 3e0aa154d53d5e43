<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\FamilyRoute;
use Gravik\Neck\Neck;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FamilyRoute', required: ['way', 'frets', 'travel_mm', 'grips'], properties: [
    new OA\Property(property: 'way', type: 'string'),
    new OA\Property(property: 'frets', description: 'travelled from I to IV to V and back', type: 'integer'),
    new OA\Property(property: 'travel_mm', type: 'number'),
    new OA\Property(
        property: 'grips',
        description: 'of I, IV and V',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/NamedGrip'),
    ),
])]
#[OA\Schema(schema: 'Families', required: ['routes', 'swaps', 'enrich'], properties: [
    new OA\Property(
        property: 'routes',
        description: 'the shortest first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/FamilyRoute'),
    ),
    new OA\Property(
        property: 'swaps',
        description: 'the nearest grip of each other shape family',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Voicing'),
    ),
    new OA\Property(property: 'enrich', description: 'notes of the key that the hand can add above', type: 'array',
        items: new OA\Items(required: [
        'string',
        'fret',
        'degree',
        'fights',
        'voicing',
    ], properties: [
        new OA\Property(property: 'string', type: 'integer'),
        new OA\Property(property: 'fret', type: 'integer'),
        new OA\Property(property: 'degree', type: 'string'),
        new OA\Property(property: 'fights', description: 'rubs against a tone of the chord when it is held', type: 'boolean'),
        new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
    ], type: 'object')),
])]
final class FamilyResource
{
    /** @return array<string, mixed> */
    public static function route(FamilyRoute $route, Neck $neck): array
    {
        return [
            'way' => $route->way,
            'frets' => $route->frets,
            'travel_mm' => round($route->travelMm, 1),
            'grips' => array_map(
                static fn (Voicing $grip): array => ['symbol' => $grip->chord->text(), 'voicing' => VoicingResource::of($grip, $neck)],
                $route->grips,
            ),
        ];
    }
}
