<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeyRequest;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Starter;
use Gravik\Chart\Section;
use Gravik\Chart\UsualForm;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Strokes\School;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'UsualForm', required: ['slug', 'name', 'sections'], properties: [
    new OA\Property(property: 'slug', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(required: ['id', 'name', 'line'], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'line', type: 'string'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'Starter', required: ['slug', 'word', 'meter', 'tempo', 'feel', 'school', 'groove', 'pattern'], properties: [
    new OA\Property(property: 'slug', type: 'string'),
    new OA\Property(property: 'word', type: 'string'),
    new OA\Property(property: 'meter', type: 'string'),
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'feel', type: 'object'),
    new OA\Property(property: 'school', type: 'string', enum: School::class),
    new OA\Property(property: 'groove', type: 'string'),
    new OA\Property(property: 'pattern', type: 'object'),
])]
final class ListStarts extends Controller
{
    #[OA\Get(path: '/api/starts', summary: 'What a new breakdown can start from: plain genre words, and forms written out in a key',
        parameters: [
        new OA\QueryParameter(name: 'key', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'starts',
        content: new OA\JsonContent(required: ['blank', 'forms', 'starters'], properties: [
        new OA\Property(property: 'blank', description: 'a document: a new breakdown that nothing is chosen for', type: 'object'),
        new OA\Property(property: 'forms', type: 'array', items: new OA\Items(ref: '#/components/schemas/UsualForm')),
        new OA\Property(property: 'starters', type: 'array', items: new OA\Items(ref: '#/components/schemas/Starter')),
    ]))])]
    public function __invoke(KeyRequest $request, PatternJson $json, BreakdownJson $documents): JsonResponse
    {
        return new JsonResponse([
            'blank' => $documents->write(Beginning::blank()),
            'forms' => array_map(static fn (UsualForm $form): array => [
                'slug' => $form->slug,
                'name' => $form->name,
                'sections' => array_map(
                    static fn (Section $section): array => ['id' => $section->id, 'name' => $section->name, 'line' => $section->line],
                    $form->sections,
                ),
            ], UsualForm::in($request->key())),
            'starters' => array_map(static fn (Starter $starter): array => [
                'slug' => $starter->slug,
                'word' => $starter->word,
                'meter' => $starter->groove->meter->text(),
                'tempo' => $starter->tempo->bpm,
                'feel' => [
                    'mode' => $starter->pattern->feel->mode->value,
                    'ratio' => $starter->pattern->feel->ratio,
                    'unit' => $starter->pattern->feel->unit->value,
                ],
                'school' => $starter->pattern->school->value,
                'groove' => $starter->groove->slug,
                'pattern' => $json->write($starter->pattern->pattern),
            ], Starter::all()),
        ]);
    }
}
