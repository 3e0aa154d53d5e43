<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Melody\DoubleStop;
use Gravik\Neck\Melody\DoubleStopKind;
use Gravik\Pitch\Pitch;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'DoubleStop', required: ['strings', 'frets', 'midi', 'interval', 'kind', 'degrees', 'notes', 'hammers'], properties: [
    new OA\Property(
        property: 'strings',
        description: 'numbers, the lower-sounding first',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'midi', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'interval', type: 'string', enum: ['third', 'fourth', 'sixth']),
    new OA\Property(
        property: 'kind',
        description: 'both chord tones, one and a colour, or passing',
        type: 'string',
        enum: DoubleStopKind::class,
    ),
    new OA\Property(property: 'degrees', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'hammers', type: 'array', items: new OA\Items(required: ['string', 'from', 'to'], properties: [
        new OA\Property(property: 'string', type: 'integer'),
        new OA\Property(property: 'from', type: 'integer'),
        new OA\Property(property: 'to', type: 'integer'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'FillNote', required: ['string', 'fret', 'midi', 'degree', 'chord_tone', 'fights'], properties: [
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'midi', type: 'integer'),
    new OA\Property(property: 'degree', description: 'on the chord', type: 'string'),
    new OA\Property(property: 'chord_tone', type: 'boolean'),
    new OA\Property(property: 'fights', description: 'a half step above a tone of the chord: to pass over, not to hold', type: 'boolean'),
])]
#[OA\Schema(schema: 'NeckMap', required: ['symbol', 'stops', 'fills'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'stops', type: 'array', items: new OA\Items(ref: '#/components/schemas/DoubleStop')),
    new OA\Property(property: 'fills', type: 'array', items: new OA\Items(ref: '#/components/schemas/FillNote')),
])]
final class NeckMapResource
{
    /**
     * @param list<DoubleStop>                                                   $stops
     * @param list<array{string: int, fret: int, midi: int, chordTone: bool, fights: bool}> $fills
     *
     * @return array<string, mixed>
     */
    public static function of(Key $key, ChordSymbol $chord, array $stops, array $fills): array
    {
        $note = static fn (int $midi): string => Pitch::ofMidi(max(0, min(127, $midi)), $key->spell($midi % 12))->text();
        $degree = static fn (int $midi): string => $chord->degreeOf($midi % 12)->label();

        return [
            'symbol' => $chord->text(),
            'stops' => array_map(static fn (DoubleStop $stop): array => [
                'strings' => $stop->strings,
                'frets' => $stop->frets,
                'midi' => $stop->midi,
                'interval' => $stop->interval,
                'kind' => $stop->kind->value,
                'degrees' => array_map($degree, $stop->midi),
                'notes' => array_map($note, $stop->midi),
                'hammers' => $stop->hammers,
            ], $stops),
            'fills' => array_map(static fn (array $fill): array => [
                'string' => $fill['string'], 'fret' => $fill['fret'], 'midi' => $fill['midi'], 'degree' => $degree($fill['midi']), 'chord_tone' => $fill['chordTone'], 'fights' => $fill['fights'],
            ], $fills),
        ];
    }
}
