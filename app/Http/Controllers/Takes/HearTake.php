<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\HearingQueue;
use App\Http\Controllers\Controller;
use App\Http\Requests\RecordingRequest;
use App\Http\Resources\AskedHearingResource;
use App\Models\Breakdown;
use Gravik\Breakdown\Arrangement;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearTake extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/recordings',
        summary: 'Have a recorded take heard in its turn, judged and kept; its sound only where its player agrees', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'id', description: 'of the take', required: true, schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'tempo', required: true, schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'bars', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\QueryParameter(
            name: 'from',
            description: 'bar of the song, from 0, with which it begins',
            schema: new OA\Schema(type: 'integer'),
        ),
        new OA\QueryParameter(
            name: 'first_beat',
            description: 'seconds into the recording: only what was played in the bars from there on counts; found where it is missing',
            schema: new OA\Schema(type: 'number'),
        ),
        new OA\QueryParameter(
            name: 'stage',
            description: 'of the lesson: what was to be played, and whose gate it is',
            schema: new OA\Schema(type: 'string'),
        ),
        new OA\QueryParameter(name: 'arrangement', schema: new OA\Schema(type: 'string', enum: Arrangement::class)),
        new OA\QueryParameter(
            name: 'level',
            description: 'of the pattern that was asked for, 1 to 3',
            schema: new OA\Schema(type: 'integer'),
        ),
        new OA\QueryParameter(
            name: 'waited',
            description: 'seconds for which it waited on the device',
            schema: new OA\Schema(type: 'integer'),
        ),
        new OA\QueryParameter(
            name: 'keep_sound',
            description: 'whether the sound is kept too; missing: as the account says',
            schema: new OA\Schema(type: 'integer', enum: [0, 1]),
        ),
        new OA\QueryParameter(name: 'latency_ms', description: 'missing or empty: never measured', schema: new OA\Schema(type: 'number')),
    ], requestBody: new OA\RequestBody(
        required: true,
        content: [
            new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
            new OA\MediaType(mediaType: 'audio/midi', schema: new OA\Schema(type: 'string', format: 'binary')),
        ],
    ),
        responses: [
            new OA\Response(response: 201, description: 'judged', content: new OA\JsonContent(ref: '#/components/schemas/AskedHearing')),
            new OA\Response(response: 202, description: 'waits its turn', content: new OA\JsonContent(ref: '#/components/schemas/AskedHearing')),
        ])]
    public function __invoke(RecordingRequest $request, Breakdown $breakdown, HearingQueue $queue): JsonResponse
    {
        $user = $this->user($request);
        $hearing = $queue->take(
            $user,
            $breakdown,
            $request->asked(),
            $request->getContent(true),
            $request->soundName(),
            $request->firstBeat(),
            $request->has('keep_sound') ? $request->boolean('keep_sound') : $user->keeps_sound,
        );

        return AskedHearingResource::answer($hearing, $queue->judged($hearing));
    }
}
