<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\TakeJudge;
use App\Http\Controllers\Controller;
use App\Http\Requests\TakeRequest;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Gravik\Breakdown\Arrangement;
use Gravik\Listening\Lock\Take;
use Gravik\Strokes\Direction;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class RecordTake extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/takes', summary: 'Judge and keep a take; the same id twice gives the first one back',
        parameters: [new OA\PathParameter(
            name: 'id',
            schema: new OA\Schema(type: 'string'),
        )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [
            'id',
            'tempo',
            'bars',
            'taps',
            'latency_ms',
        ], properties: [
            new OA\Property(property: 'id', type: 'string'),
            new OA\Property(property: 'tempo', type: 'number'),
            new OA\Property(property: 'bars', type: 'integer'),
            new OA\Property(property: 'latency_ms', type: 'number', nullable: true),
            new OA\Property(property: 'from', description: 'bar of the song, from 0, with which it begins', type: 'integer'),
            new OA\Property(
                property: 'stage',
                description: 'of the lesson: what was to be played, and whose gate it is',
                type: 'string',
                nullable: true,
            ),
            new OA\Property(property: 'arrangement', type: 'string', enum: Arrangement::class, nullable: true),
            new OA\Property(property: 'waited', description: 'seconds for which it waited on the device', type: 'integer'),
            new OA\Property(property: 'level', description: 'of the pattern that was asked for, 1 to 3', type: 'integer'),
            new OA\Property(property: 'taps', type: 'array', items: new OA\Items(required: ['t'], properties: [
                new OA\Property(property: 't', type: 'number'),
                new OA\Property(property: 'key', type: 'string', enum: Direction::class),
            ], type: 'object')),
        ])), responses: [new OA\Response(
            response: 201,
            description: 'the take with its report',
            content: new OA\JsonContent(ref: '#/components/schemas/Take'),
        )])]
    public function __invoke(TakeRequest $request, Breakdown $breakdown, TakeJudge $judge): JsonResponse
    {
        $played = $request->take();
        $take = $judge->judge($breakdown, $this->user($request), $request->asked(), static fn (): Take => $played);

        return new JsonResponse(TakeResource::of($take), 201);
    }
}
