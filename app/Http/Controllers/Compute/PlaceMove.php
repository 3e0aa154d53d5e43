<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\MovePlacer;
use Gravik\Chart\ApproachKind;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlaceMove extends Controller
{
    #[OA\Post(path: '/api/compute/move',
        summary: 'The document with a way laid down to one chord, in the stead of what led there; without a kind it is taken out',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'chord'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'chord', description: 'of the written song, from 0', type: 'integer'),
        new OA\Property(property: 'move', description: 'kind of approach', type: 'string', nullable: true),
        new OA\Property(property: 'steps', type: 'integer'),
        new OA\Property(property: 'slot_ticks', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $chord = $breakdown->written()->chords[$request->integer('chord')] ?? abort(404);
        $kind = $request->enum('move', ApproachKind::class);
        $changed = $kind === null
            ? MovePlacer::without($breakdown, $chord)
            : MovePlacer::placed($breakdown, $chord, $kind, $request->integer('steps'), $request->integer('slot_ticks'));

        return new JsonResponse(['document' => $json->write($changed)]);
    }
}
