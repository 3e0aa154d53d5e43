<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\ListenRequest;
use App\Http\Resources\FeelReadingResource;
use Gravik\Listening\Feel\FeelMeter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MeasureFeel extends Controller
{
    #[OA\Post(path: '/api/compute/listen',
        summary: 'Tempo, grid, swing and accents of strokes, and what of them the document could take over',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'strokes'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/HeardStroke')),
        new OA\Property(
            property: 'beats',
            description: 'seconds of beats that were tapped along',
            type: 'array',
            items: new OA\Items(type: 'number'),
        ),
        new OA\Property(property: 'meter', type: 'string', nullable: true),
        new OA\Property(property: 'tempo', description: 'where it is known', type: 'number', nullable: true),
        new OA\Property(property: 'first_beat', description: 'seconds of bar 1 beat 1, where it is known', type: 'number', nullable: true),
        new OA\Property(property: 'grid', description: 'slots a beat, where they are known', type: 'integer', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'measured',
        content: new OA\JsonContent(ref: '#/components/schemas/FeelReading'),
    )])]
    public function __invoke(ListenRequest $request, FeelMeter $meter): JsonResponse
    {
        $desk = $request->desk();

        return new JsonResponse(FeelReadingResource::of($request->reading($meter, $desk), $desk));
    }
}
