<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\EndingForker;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ForkEnding extends Controller
{
    #[OA\Post(path: '/api/compute/fork-ending', summary: 'The document with one more way for a section to end',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section', 'bars'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'bars', description: 'of its line that fork, where it has no endings yet', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $section = $request->string('section')->toString();

        return new JsonResponse(
            ['document' => $json->write((new EndingForker())->fork($request->breakdown(), $section, $request->integer('bars')))],
        );
    }
}
