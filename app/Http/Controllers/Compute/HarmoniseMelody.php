<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\MelodyResource;
use Gravik\Breakdown\MelodyOverForm;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HarmoniseMelody extends Controller
{
    #[OA\Post(path: '/api/compute/harmonise', summary: 'A typed melody in double stops over the chords of the form',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'melody', description: 'notes with their octave, bars between strokes', type: 'string'),
        new OA\Property(property: 'bar', description: 'of the form that the melody begins in, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/HarmonisedNote')),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $melody = $request->string('melody')->toString();
        $line = array_merge(...(new MelodyOverForm())->bars($request->breakdown(), $melody, max(0, $request->integer('bar'))));

        return new JsonResponse(array_map(MelodyResource::note(...), $line));
    }
}
