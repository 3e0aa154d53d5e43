<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Gravik\Formats\PatternJson;
use Gravik\Strokes\School;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Time\FeelWords;
use Gravik\Time\Tempo;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LibraryPattern', required: [
    'slug',
    'name',
    'meter',
    'feel',
    'feel_words',
    'tempo',
    'school',
    'school_words',
    'difficulty',
    'when',
    'caution',
    'counted',
    'pattern',
], properties: [
    new OA\Property(property: 'slug', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'meter', type: 'string'),
    new OA\Property(property: 'feel', type: 'object'),
    new OA\Property(property: 'feel_words', type: 'string'),
    new OA\Property(
        property: 'tempo',
        description: 'lowest and highest, in beats a minute',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'school', type: 'string', enum: School::class),
    new OA\Property(property: 'school_words', type: 'string'),
    new OA\Property(property: 'difficulty', description: '1 easy to 3 hard', type: 'integer'),
    new OA\Property(property: 'when', type: 'string'),
    new OA\Property(property: 'caution', type: 'string'),
    new OA\Property(property: 'counted', type: 'string'),
    new OA\Property(property: 'pattern', type: 'object'),
])]
final class ListPatterns extends Controller
{
    #[OA\Get(
        path: '/api/patterns',
        summary: 'Patterns to start from',
        responses: [new OA\Response(
            response: 200,
            description: 'patterns',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/LibraryPattern')),
        )],
    )]
    public function __invoke(PatternJson $json): JsonResponse
    {
        return new JsonResponse(array_map(static fn (LibraryPattern $entry): array => [
            'slug' => $entry->slug,
            'name' => $entry->name,
            'meter' => $entry->pattern->meter->text(),
            'feel' => ['mode' => $entry->feel->mode->value, 'ratio' => $entry->feel->ratio, 'unit' => $entry->feel->unit->value],
            'feel_words' => FeelWords::of($entry->feel, new Tempo((float) $entry->tempo[0])),
            'tempo' => $entry->tempo,
            'school' => $entry->school->value,
            'school_words' => $entry->school->words(),
            'difficulty' => $entry->difficulty,
            'when' => $entry->when,
            'caution' => $entry->caution,
            'counted' => CountLine::write($entry->pattern),
            'pattern' => $json->write($entry->pattern),
        ], PatternLibrary::all()));
    }
}
