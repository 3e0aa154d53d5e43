<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Melody\RiffPlace;
use Gravik\Strokes\Written\FigureRhythm;
use Gravik\Time\Meter;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HarmonisedNote', required: [
    'chord',
    'strings',
    'frets',
    'midi',
    'degrees',
    'chord_tone',
    'held',
    'shared',
], properties: [
    new OA\Property(property: 'chord', type: 'string'),
    new OA\Property(property: 'strings', description: 'the lower-sounding first', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'midi', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'degrees', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'chord_tone', description: 'whether the lower note belongs to the chord', type: 'boolean'),
    new OA\Property(property: 'held', description: 'whether the lower note rings on from the note before', type: 'boolean'),
    new OA\Property(property: 'shared', description: 'whether the lower note stays for the next', type: 'boolean'),
])]
#[OA\Schema(schema: 'RiffNote', required: ['string', 'fret', 'midi'], properties: [
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'midi', type: 'integer'),
])]
#[OA\Schema(schema: 'RiffPlace', required: ['where', 'way', 'travel_mm', 'one', 'four', 'five', 'counted', 'near'], properties: [
    new OA\Property(property: 'where', type: 'string'),
    new OA\Property(property: 'way', type: 'string'),
    new OA\Property(property: 'travel_mm', type: 'number'),
    new OA\Property(property: 'counted', description: 'the I as a figure is typed, one note on each half of a beat', type: 'string'),
    new OA\Property(property: 'near', description: 'fret of the hand on the I', type: 'integer'),
    new OA\Property(property: 'one', type: 'array', items: new OA\Items(ref: '#/components/schemas/RiffNote')),
    new OA\Property(property: 'four', type: 'array', items: new OA\Items(ref: '#/components/schemas/RiffNote')),
    new OA\Property(property: 'five', type: 'array', items: new OA\Items(ref: '#/components/schemas/RiffNote')),
])]
final class MelodyResource
{
    /** @return array<string, mixed> */
    public static function note(HarmonisedNote $note): array
    {
        return ['chord' => $note->chord->text(), 'strings' => $note->strings, 'frets' => $note->frets, 'midi' => $note->midi, 'degrees' => $note->degrees(),
            'chord_tone' => $note->chordTone, 'held' => $note->held, 'shared' => $note->shared];
    }

    /** @return array<string, mixed> */
    public static function place(RiffPlace $place, Meter $meter): array
    {
        $notes = static fn (array $riff): array => array_map(
            static fn (RiffNote $note): array => ['string' => $note->string, 'fret' => $note->fret, 'midi' => $note->midi],
            $riff,
        );

        return [
            'where' => $place->where,
            'way' => $place->way,
            'travel_mm' => round($place->travelMm, 1),
            'one' => $notes($place->one),
            'four' => $notes($place->four),
            'five' => $notes($place->five),
            'counted' => (new FigureRhythm($meter))->evenly(
                array_map(static fn (RiffNote $note): string => "{$note->string}:{$note->fret}", $place->one),
            ),
            'near' => $place->position(),
        ];
    }
}
