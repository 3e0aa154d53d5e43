<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Finder\CapoChoice;
use Gravik\Neck\Retuning;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Retuning', required: ['string', 'from', 'to', 'midi', 'semitones', 'needed', 'caution'], properties: [
    new OA\Property(property: 'string', description: '1 is the highest', type: 'integer'),
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'midi', description: 'of the pitch to tune to', type: 'integer'),
    new OA\Property(property: 'semitones', description: '+ up, − down', type: 'integer'),
    new OA\Property(property: 'needed', description: 'whether a grip of the tune uses the string', type: 'boolean'),
    new OA\Property(property: 'caution', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'CapoChoice', required: ['capo', 'shape_key', 'open_grips', 'shapes'], properties: [
    new OA\Property(property: 'capo', description: 'fret, 0 for none', type: 'integer'),
    new OA\Property(property: 'shape_key', type: 'string'),
    new OA\Property(property: 'open_grips', description: 'how many of the chords become easy open grips', type: 'integer'),
    new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(required: ['sounding', 'shape'], properties: [
        new OA\Property(property: 'sounding', type: 'string'),
        new OA\Property(property: 'shape', type: 'string'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'StringsPlan', required: ['retune', 'capo'], properties: [
    new OA\Property(
        property: 'retune',
        description: 'lowest string first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Retuning'),
    ),
    new OA\Property(
        property: 'capo',
        description: 'the most open grips first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/CapoChoice'),
    ),
])]
final class StringsPlanResource
{
    /**
     * @param list<Retuning>    $retune
     * @param list<CapoChoice>  $capo
     * @param list<ChordSymbol> $chords as they sound, in the order of each choice's shapes
     *
     * @return array<string, mixed>
     */
    public static function of(array $retune, array $capo, array $chords): array
    {
        return [
            'retune' => array_map(static fn (Retuning $step): array => [
                'string' => $step->string, 'from' => $step->from->text(), 'to' => $step->to->text(), 'midi' => $step->to->midi(),
                'semitones' => $step->semitones, 'needed' => $step->needed, 'caution' => $step->caution,
            ], $retune),
            'capo' => array_map(static fn (CapoChoice $choice): array => [
                'capo' => $choice->capo, 'shape_key' => $choice->shapeKey->text(), 'open_grips' => $choice->openGrips,
                'shapes' => array_map(
                    static fn (ChordSymbol $sounding, ChordSymbol $shape): array => [
                        'sounding' => $sounding->text(),
                        'shape' => $shape->text(),
                    ],
                    $chords,
                    $choice->shapes,
                ),
            ], $capo),
        ];
    }
}
