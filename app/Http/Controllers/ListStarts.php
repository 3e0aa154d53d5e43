<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeyRequest;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\GenreProfile;
use Gravik\Chart\Section;
use Gravik\Chart\UsualForm;
use Gravik\Formats\BreakdownJson;
use Gravik\Strokes\Shaping\BarMove;
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
#[OA\Schema(schema: 'GenreProfile', required: ['slug', 'word', 'slowest', 'fastest', 'moves', 'caution', 'document'], properties: [
    new OA\Property(property: 'slug', type: 'string'),
    new OA\Property(property: 'word', type: 'string'),
    new OA\Property(property: 'slowest', description: 'tempo at which it still moves, BPM', type: 'number'),
    new OA\Property(property: 'fastest', type: 'number'),
    new OA\Property(
        property: 'moves',
        description: 'usual ones, the most usual first',
        type: 'array',
        items: new OA\Items(required: ['slug', 'words'], properties: [
            new OA\Property(property: 'slug', type: 'string', enum: BarMove::class),
            new OA\Property(property: 'words', type: 'string'),
        ], type: 'object'),
    ),
    new OA\Property(property: 'caution', description: 'what to mind', type: 'string'),
    new OA\Property(property: 'document', description: 'a blank breakdown with all that the word means', type: 'object'),
])]
final class ListStarts extends Controller
{
    #[OA\Get(path: '/api/starts', summary: 'What a new breakdown can start from: plain genre words, and forms written out in a key',
        parameters: [
        new OA\QueryParameter(name: 'key', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'starts',
        content: new OA\JsonContent(required: ['blank', 'forms', 'profiles'], properties: [
        new OA\Property(property: 'blank', description: 'a document: a new breakdown that nothing is chosen for', type: 'object'),
        new OA\Property(property: 'forms', type: 'array', items: new OA\Items(ref: '#/components/schemas/UsualForm')),
        new OA\Property(property: 'profiles', type: 'array', items: new OA\Items(ref: '#/components/schemas/GenreProfile')),
    ]))])]
    public function __invoke(KeyRequest $request, BreakdownJson $documents): JsonResponse
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
            'profiles' => array_map(static fn (GenreProfile $profile): array => [
                'slug' => $profile->slug,
                'word' => $profile->word,
                'slowest' => $profile->pattern->tempo[0],
                'fastest' => $profile->pattern->tempo[1],
                'moves' => array_map(
                    static fn (BarMove $move): array => ['slug' => $move->value, 'words' => $move->words()],
                    $profile->moves,
                ),
                'caution' => $profile->caution,
                'document' => $documents->write($profile->over(Beginning::blank())),
            ], GenreProfile::all()),
        ]);
    }
}
