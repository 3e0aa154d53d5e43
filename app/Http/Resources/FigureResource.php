<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Figure;
use Gravik\Breakdown\TypedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Strokes\Stroke;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LaidNote', required: ['string', 'fret', 'midi', 'degree'], properties: [
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'midi', type: 'integer'),
    new OA\Property(property: 'degree', description: 'in the chord it is played over', type: 'string'),
])]
#[OA\Schema(schema: 'LaidFigure', required: ['strings', 'typed', 'over', 'near', 'hands', 'missing', 'bars', 'steps'], properties: [
    new OA\Property(
        property: 'typed',
        description: 'as it would be typed; every eighth counted where nothing is typed yet',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'over', description: 'the chord it is played over', type: 'string'),
    new OA\Property(property: 'strings', description: 'that the guitar has', type: 'integer'),
    new OA\Property(property: 'near', description: 'fret of the hand', type: 'integer'),
    new OA\Property(
        property: 'hands',
        description: 'frets at which all of it lies under the hand, each another way to play it',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'missing', description: 'notes that lie nowhere on the neck', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: ['stream', 'beats', 'notes'], properties: [
        new OA\Property(property: 'stream', type: 'integer'),
        new OA\Property(property: 'beats', description: 'from its start', type: 'number'),
        new OA\Property(
            property: 'notes',
            description: 'none where it strikes the grip',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/LaidNote'),
        ),
    ], type: 'object')),
])]
final class FigureResource
{
    /**
     * @param list<array<int, list<?RiffNote>>> $laid  by stream and stroke
     * @param list<int>                         $hands
     *
     * @return array<string, mixed>
     */
    public static function of(Figure $figure, ChordSymbol $over, array $laid, array $hands, int $near, int $strings): array
    {
        $steps = [];
        $missing = 0;
        foreach ($figure->pattern->streams as $number => $stream) {
            foreach ($stream->strokes as $place => $stroke) {
                $notes = $laid[$number][$place] ?? [];
                $missing += count($notes) - count(array_filter($notes));
                $steps[] = self::step($figure, $number, $stroke, array_values(array_filter($notes)), $over);
            }
        }

        return [
            'strings' => $strings,
            'typed' => TypedFigure::write($figure),
            'over' => $over->text(),
            'near' => $near,
            'hands' => $hands,
            'missing' => $missing,
            'bars' => $figure->pattern->bars(),
            'steps' => $steps,
        ];
    }

    /**
     * @param list<RiffNote> $notes
     *
     * @return array<string, mixed>
     */
    private static function step(Figure $figure, int $stream, Stroke $stroke, array $notes, ChordSymbol $over): array
    {
        return [
            'stream' => $stream,
            'beats' => round($stroke->at / $figure->pattern->meter->beatTicks(), 4),
            'notes' => array_map(static fn (RiffNote $note): array => [
                'string' => $note->string,
                'fret' => $note->fret,
                'midi' => $note->midi,
                'degree' => $over->degreeOf($note->midi % 12)->label(),
            ], $notes),
        ];
    }
}
