<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Neck\Grip\Barre;
use Gravik\Neck\Grip\DampedStrings;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Voicing', required: [
    'frets',
    'fingers',
    'damped',
    'barres',
    'degrees',
    'notes',
    'midi',
    'span_mm',
    'difficulty',
    'difficulty_parts',
    'family',
    'root',
    'top',
    'position',
    'slash',
], properties: [
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
    new OA\Property(
        property: 'fingers',
        description: '0 open, 1 to 4, T for the thumb',
        type: 'array',
        items: new OA\Items(nullable: true, oneOf: [new OA\Schema(type: 'integer'), new OA\Schema(type: 'string', enum: ['T'])]),
    ),
    new OA\Property(property: 'damped', description: 'what keeps each silent string from sounding', type: 'array',
        items: new OA\Items(required: ['string', 'by'], properties: [
        new OA\Property(property: 'string', type: 'integer'),
        new OA\Property(property: 'by', type: 'string'),
    ], type: 'object')),
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
    new OA\Property(property: 'top', description: 'the highest note and what it is in the chord', required: ['note', 'degree'],
        properties: [
        new OA\Property(property: 'note', type: 'string'),
        new OA\Property(property: 'degree', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'slash', type: 'string', nullable: true),
])]
final class VoicingResource
{
    /** @return array<string, mixed> */
    public static function of(Voicing $voicing, Neck $neck): array
    {
        $family = $voicing->familyOn($neck);
        $damped = DampedStrings::of($voicing);

        return [
            'frets' => $voicing->frets,
            'fingers' => array_map(
                static fn (?int $finger): int|string|null => $finger === HandProfile::THUMB ? 'T' : $finger,
                $voicing->fingers,
            ),
            'damped' => array_map(
                static fn (int $string, string $by): array => ['string' => $string, 'by' => $by],
                array_keys($damped),
                array_values($damped),
            ),
            'barres' => array_map(
                static fn (Barre $barre): array => ['fret' => $barre->fret, 'from' => $barre->from, 'to' => $barre->to],
                $voicing->barres,
            ),
            'degrees' => $voicing->degrees(),
            'notes' => $voicing->notes(),
            'midi' => $voicing->midi,
            'span_mm' => round($voicing->spanMm, 1),
            'difficulty' => round($voicing->difficultySum(), 3),
            'difficulty_parts' => array_map(static fn (float $part): float => round($part, 3), $voicing->difficulty),
            'family' => $family?->letter,
            'root' => $family === null ? null : ['string' => $family->rootString, 'fret' => $family->rootFret],
            'top' => ['note' => $voicing->topNote(), 'degree' => $voicing->chord->degreeOf($voicing->topMidi() % 12)->label()],
            'position' => $voicing->position,
            'slash' => $voicing->slash(),
        ];
    }
}
