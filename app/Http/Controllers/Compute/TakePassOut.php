<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TakePassOut extends Controller
{
    #[OA\Post(path: '/api/compute/without-pass', summary: 'The document without a pass, and without what was placed in it alone',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'pass'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', description: 'its id', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(
            ['document' => $json->write((new PassRemover())->remove($request->breakdown(), $request->string('pass')->toString()))],
        );
    }
}
