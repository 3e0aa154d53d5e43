<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\SectionAdder;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class AddSection extends Controller
{
    #[OA\Post(path: '/api/compute/add-section', summary: 'The document with one more section: the last in every pass, or an intro that comes once',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'typed', description: 'its line', type: 'string', nullable: true),
        new OA\Property(property: 'name', description: 'the next free letter where none is said', type: 'string', nullable: true),
        new OA\Property(property: 'intro', type: 'boolean'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write((new SectionAdder())->add(
            $request->breakdown(),
            $request->named('typed') ?? '',
            $request->named('name'),
            $request->boolean('intro'),
        ))]);
    }
}
