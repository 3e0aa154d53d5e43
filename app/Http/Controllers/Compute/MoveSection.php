<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\SectionMover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MoveSection extends Controller
{
    #[OA\Post(path: '/api/compute/move-section',
        summary: 'The document with a section elsewhere among the others; a form that has each once, in order, follows',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [
        'document',
        'section',
        'position',
    ], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'position', description: 'among the sections, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $moved = (new SectionMover())->move($request->breakdown(), $request->string('section')->toString(), $request->integer('position'));

        return new JsonResponse(['document' => $json->write($moved)]);
    }
}
