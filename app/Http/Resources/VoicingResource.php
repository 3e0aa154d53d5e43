<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Neck\Barre;
use Gravik\Neck\Neck;
use Gravik\Neck\Voicing;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Voicing', required: ['frets', 'fingers', 'barres', 'degrees', 'notes', 'midi', 'span_mm', 'difficulty', 'difficulty_parts', 'family', 'root', 'position', 'slash'], properties: [
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
    new OA\Property(property: 'fingers', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
    new OA\Property(property: 'barres', type: 'array', items: new OA\Items(required: ['fret', 'from', 'to'], properties: [
        new OA\Property(property: 'fret', type: 'integer'),
        new OA\Property(property: 'from', type: 'integer'),
        new OA\Property(property: 'to', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'degrees', type: 'array', items: new OA\Items(type: 'string', nullable: true)),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string', nullable: true)),
    new OA\Property(property: 'midi', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
    new OA\Property(property: 'span_mm', type: 'number'),
    new OA\Property(property: 'difficulty', type: 'number'),
    new OA\Property(property: 'difficulty_parts', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    new OA\Property(property: 'family', type: 'string', nullable: true),
    new OA\Property(property: 'root', required: ['string', 'fret'], properties: [
        new OA\Property(property: 'string', type: 'integer'),
        new OA\Property(property: 'fret', type: 'integer'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'slash', type: 'string', nullable: true),
])]
final class VoicingResource
{
    /** @return array<string, mixed> */
    public static function of(Voicing $voicing, Neck $neck): array
    {
        $family = $neck->familyOf($voicing);

        return [
            'frets' => $voicing->frets,
            'fingers' => $voicing->fingers,
            'barres' => array_map(static fn (Barre $barre): array => ['fret' => $barre->fret, 'from' => $barre->from, 'to' => $barre->to], $voicing->barres),
            'degrees' => $voicing->degrees(),
            'notes' => $voicing->notes(),
            'midi' => $voicing->midi,
            'span_mm' => round($voicing->spanMm, 1),
            'difficulty' => round($voicing->difficultySum(), 3),
            'difficulty_parts' => array_map(static fn (float $part): float => round($part, 3), $voicing->difficulty),
            'family' => $family?->letter,
            'root' => $family === null ? null : ['string' => $family->rootString, 'fret' => $family->rootFret],
            'position' => $voicing->position,
            'slash' => $voicing->slash(),
        ];
    }
}
