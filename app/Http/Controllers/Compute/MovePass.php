<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\PassMover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MovePass extends Controller
{
    #[OA\Post(path: '/api/compute/move-pass', summary: 'The document with a pass elsewhere among the others',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'pass', 'position'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', description: 'its id', type: 'string'),
        new OA\Property(property: 'position', description: 'among the passes, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write(
            (new PassMover())->move($request->breakdown(), $request->string('pass')->toString(), $request->integer('position')),
        )]);
    }
}
