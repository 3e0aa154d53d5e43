<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\TappedRequest;
use App\Http\Resources\PatternReadingResource;
use Gravik\Listening\Tapped\PatternReader;
use Gravik\Listening\Tapped\PatternReading;
use Gravik\Strokes\Direction;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReadTapped extends Controller
{
    #[OA\Post(path: '/api/compute/tapped', summary: 'A tapped rhythm as patterns to choose from',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'taps', 'bars'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'bars', description: '1 to 4', type: 'integer'),
        new OA\Property(property: 'from', description: 'bar of the taps with which the pattern begins, from 0; 0 where left out',
            type: 'integer'),
        new OA\Property(property: 'taps', description: 'seconds from bar 1 beat 1', type: 'array', items: new OA\Items(required: ['t'],
            properties: [
            new OA\Property(property: 't', type: 'number'),
            new OA\Property(property: 'key', type: 'string', enum: Direction::class),
            new OA\Property(property: 'dead', type: 'boolean'),
        ], type: 'object')),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/PatternReading')),
    )])]
    public function __invoke(TappedRequest $request): JsonResponse
    {
        $desk = $request->desk();
        $tempo = $desk->ruler($request->tempo())->tempo;
        $readings = (new PatternReader($tempo, $desk->setting->meter, $desk->school()))->read(
            $request->take()->taps,
            $request->integer('bars'),
            $request->integer('from'),
        );

        return new JsonResponse(array_map(
            static fn (PatternReading $reading): array => PatternReadingResource::of($desk, $reading, $request->tempo()),
            $readings,
        ));
    }
}
