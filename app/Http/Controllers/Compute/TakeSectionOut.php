<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\SectionRemover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TakeSectionOut extends Controller
{
    #[OA\Post(path: '/api/compute/without-section',
        summary: 'The document without one of its sections; what was held to it alone goes with it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $left = (new SectionRemover())->remove($request->breakdown(), $request->string('section')->toString());

        return new JsonResponse(['document' => $json->write($left)]);
    }
}
