<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\CapoMover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MoveCapo extends Controller
{
    #[OA\Post(path: '/api/compute/capo', summary: 'The document with its capo elsewhere, pinned grips sounding as before',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'capo'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'capo', description: 'fret, 0 to 12', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed',
        content: new OA\JsonContent(required: ['document', 'dropped'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(
            property: 'dropped',
            description: 'pinned grips that lie below the capo now',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/LoosePin'),
        ),
    ]))])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $moved = (new CapoMover())->move($breakdown, $request->integer('capo'));

        return new JsonResponse([
            'document' => $json->write($moved->breakdown),
            'dropped' => array_map(BreakdownJson::pin(...), $moved->dropped),
        ]);
    }
}
