<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\SectionSplitter;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SplitSection extends Controller
{
    #[OA\Post(path: '/api/compute/split-section',
        summary: 'The document with a section split in two that are played one after the other; what was held to its places goes along',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section', 'bar'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'bar', description: 'that the second part begins with, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $split = (new SectionSplitter())->split($request->breakdown(), $request->string('section')->toString(), $request->integer('bar'));

        return new JsonResponse(['document' => $json->write($split)]);
    }
}
