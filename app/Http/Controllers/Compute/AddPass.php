<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class AddPass extends Controller
{
    #[OA\Post(path: '/api/compute/add-pass', summary: 'The document with one more pass: plain and last, or like another and after it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'like', description: 'id of a pass', type: 'string', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write((new PassAdder())->add($request->breakdown(), $request->named('like')))]);
    }
}
