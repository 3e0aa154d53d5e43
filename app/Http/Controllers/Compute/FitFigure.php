<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\LibraryFigurePlacer;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class FitFigure extends Controller
{
    #[OA\Post(path: '/api/compute/fit-figure', summary: 'The document with a figure of the library in the last bars of a section',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section', 'slug'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', description: 'in which it is played; null for all', type: 'string', nullable: true),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'slug', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write(
            (new LibraryFigurePlacer())->place($request->desk(), $request->string('slug')->toString(), $request->filled('pass')),
        )]);
    }
}
