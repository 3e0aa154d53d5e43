<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\NeckMapResource;
use Gravik\Harmony\Scale;
use Gravik\Neck\Melody\NeckMap;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MapNeck extends Controller
{
    #[OA\Post(path: '/api/compute/neck-map', summary: 'Double stops on a chord, and notes for fills around a grip',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'symbol'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'symbol', description: 'a chord, as a letter or a numeral', type: 'string'),
        new OA\Property(
            property: 'scale',
            description: 'of the fills',
            type: 'string',
            enum: ['key', 'major-pentatonic', 'minor-pentatonic'],
        ),
        new OA\Property(property: 'position', description: 'fret of the first finger', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/NeckMap'),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $breakdown = $request->breakdown();
        $chord = $breakdown->start->reader()->chord($request->string('symbol')->toString());
        $scale = Scale::named($request->string('scale', 'key')->toString(), $breakdown->start->key);
        $map = new NeckMap($breakdown->neck);

        return new JsonResponse(NeckMapResource::of(
            $breakdown->start->key,
            $chord,
            $map->doubleStops($breakdown->start->key, $chord),
            $map->fillZone($scale, $chord, max(0, min(24, $request->integer('position')))),
        ));
    }
}
