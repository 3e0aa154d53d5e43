<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\Transposer;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\Key;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MoveToKey extends Controller
{
    #[OA\Post(path: '/api/compute/key', summary: 'The document in another key',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'key', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'computed',
        content: new OA\JsonContent(required: ['document', 'dropped'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(
            property: 'dropped',
            description: 'pinned grips that could not move along',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/LoosePin'),
        ),
    ]))])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $moved = (new Transposer())->transpose($request->breakdown(), Key::parse($request->string('key')->toString()));

        return new JsonResponse([
            'document' => $json->write($moved->breakdown),
            'dropped' => array_map(BreakdownJson::pin(...), $moved->dropped),
        ]);
    }
}
