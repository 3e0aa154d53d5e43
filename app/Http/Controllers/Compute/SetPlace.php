<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\PlaceSetter;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SetPlace extends Controller
{
    #[OA\Post(path: '/api/compute/played-here', summary: 'The document with another pattern or line of grips in one section of a pass',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'what'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'what', type: 'string', enum: ['pattern', 'line']),
        new OA\Property(
            property: 'named',
            description: 'its id; null for one of its own, a copy of what is played there now',
            type: 'string',
            nullable: true,
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json, PlaceSetter $setter): JsonResponse
    {
        $named = $request->named('named');
        $set = $request->input('what') === 'line' ? $setter->line($request->desk(), $named) : $setter->pattern($request->desk(), $named);

        return new JsonResponse(['document' => $json->write($set)]);
    }
}
