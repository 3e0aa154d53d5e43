<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\AloneArranger;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ArrangeAlone extends Controller
{
    #[OA\Post(path: '/api/compute/arrange-alone', summary: 'The document with a second arrangement, for a guitar alone',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write((new AloneArranger())->arrange($request->breakdown()))]);
    }
}
