<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\MelodyKeeper;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepMelody extends Controller
{
    #[OA\Post(path: '/api/compute/keep-melody', summary: 'The document with a melody in double stops kept as figures of a pass',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'melody', 'bar'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'melody', description: 'notes with their octave, bars between strokes', type: 'string'),
        new OA\Property(property: 'bar', description: 'of the form that the melody begins in, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $melody = $request->string('melody')->toString();

        return new JsonResponse([
            'document' => $json->write((new MelodyKeeper())->keep($request->desk(), $melody, max(0, $request->integer('bar')))),
        ]);
    }
}
