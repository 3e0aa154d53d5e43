<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Drafts\HeardDraft;
use Gravik\Listening\Drafts\HeardPart;
use Gravik\Neck\Grip\Voicing;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HeardChord', required: ['bar', 'part', 'from', 'until', 'symbol', 'chance', 'sure', 'others', 'frets'], properties: [
    new OA\Property(property: 'bar', description: 'of the recording, from 0', type: 'integer'),
    new OA\Property(property: 'part', description: 'half of the bar with which it begins, from 0', type: 'integer'),
    new OA\Property(property: 'from', description: 'seconds', type: 'number'),
    new OA\Property(property: 'until', type: 'number'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'chance', description: 'that root, third and seventh are right, 0 to 1', type: 'number'),
    new OA\Property(property: 'sure', type: 'boolean'),
    new OA\Property(property: 'others', description: 'what it may be as well', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'frets',
        description: 'of the grip it was probably held in',
        type: 'array',
        items: new OA\Items(type: 'integer', nullable: true),
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Sketch', required: ['key', 'key_given', 'remarks', 'chords', 'parts', 'document', 'chords_alone'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'key_given', type: 'boolean'),
    new OA\Property(
        property: 'remarks',
        description: 'what speaks against its being comping',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/HeardChord')),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(required: [
        'what',
        'says',
        'sure',
        'why',
    ], type: 'object', properties: [
        new OA\Property(property: 'what', type: 'string'),
        new OA\Property(property: 'says', type: 'string'),
        new OA\Property(property: 'sure', description: '0 to 1', type: 'number'),
        new OA\Property(property: 'why', type: 'string'),
    ])),
    new OA\Property(property: 'document', description: 'all of it', type: 'object'),
    new OA\Property(
        property: 'chords_alone',
        required: ['document'],
        description: 'form and chords, with the tempo, feel and strokes there were',
        properties: [
            new OA\Property(property: 'document', type: 'object'),
        ],
        type: 'object',
    ),
])]
final class SketchResource
{
    /** @return array<string, mixed> */
    public static function of(HeardDraft $draft): array
    {
        $json = new BreakdownJson();

        return [
            'key' => $draft->heard->key->text(),
            'key_given' => $draft->heard->keyIsGiven,
            'remarks' => $draft->remarks,
            'chords' => array_map(self::chord(...), $draft->heard->chords, $draft->grips),
            'parts' => array_map(static fn (HeardPart $part): array => [
                'what' => $part->what,
                'says' => $part->says,
                'sure' => round($part->sure, 2),
                'why' => $part->why,
            ], $draft->parts),
            'document' => $json->write($draft->breakdown),
            'chords_alone' => ['document' => $json->write($draft->chordsAlone)],
        ];
    }

    /** @return array<string, mixed> */
    private static function chord(HeardChord $chord, ?Voicing $grip): array
    {
        return [
            'bar' => $chord->bar,
            'part' => $chord->part,
            'from' => round($chord->spans[0][0], 3),
            'until' => round($chord->spans[count($chord->spans) - 1][1], 3),
            'symbol' => $chord->chord->text(),
            'chance' => round($chord->chance, 2),
            'sure' => $chord->isSure(),
            'others' => array_map(static fn (ChordSymbol $other): string => $other->text(), $chord->others),
            'frets' => $grip?->frets,
        ];
    }
}
