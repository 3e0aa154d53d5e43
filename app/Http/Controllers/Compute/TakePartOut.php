<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TakePartOut extends Controller
{
    #[OA\Post(path: '/api/compute/without-part', summary: 'The document with a part out of the band',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'part'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'part', description: 'id', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $without = (new PartSetter())->remove($request->breakdown(), $request->named('part') ?? '');

        return new JsonResponse(['document' => $json->write($without)]);
    }
}
