<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\LayMoveRequest;
use Gravik\Breakdown\Change\BarMover;
use Gravik\Formats\BreakdownJson;
use Gravik\Strokes\Shaping\BarMove;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class LayMove extends Controller
{
    #[OA\Post(path: '/api/compute/lay-move', summary: 'The document with a move laid over a bar of one pass, as it is played there',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'bar', 'move'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'ending', type: 'integer', nullable: true),
        new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
        new OA\Property(property: 'move', type: 'string', enum: BarMove::class),
        new OA\Property(property: 'slots', description: 'of a fill, 1 to 24; four where none is said', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(LayMoveRequest $request, BreakdownJson $json): JsonResponse
    {
        $moved = (new BarMover())->move($request->desk(), $request->place(), $request->move(), $request->integer('slots', 4));

        return new JsonResponse(['document' => $json->write($moved)]);
    }
}
