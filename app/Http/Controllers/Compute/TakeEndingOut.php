<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\EndingRemover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TakeEndingOut extends Controller
{
    #[OA\Post(path: '/api/compute/without-ending', summary: 'The document without one of the endings of a section; the last that is left is how it ends',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section', 'ending'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'ending', description: 'from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $section = $request->string('section')->toString();

        return new JsonResponse(
            ['document' => $json->write((new EndingRemover())->remove($request->breakdown(), $section, $request->integer('ending')))],
        );
    }
}
