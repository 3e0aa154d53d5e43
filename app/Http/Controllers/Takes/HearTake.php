<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\TakeJudge;
use App\Http\Controllers\Controller;
use App\Http\Hearings;
use App\Http\Requests\RecordingRequest;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Gravik\Breakdown\Arrangement;
use Gravik\Formats\TakeFile;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Timeline;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearTake extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/recordings',
        summary: 'Hear, judge and keep a take that was recorded; the sound itself is not kept', parameters: [
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
        new OA\QueryParameter(name: 'latency_ms', description: 'missing or empty: never measured', schema: new OA\Schema(type: 'number')),
    ], requestBody: new OA\RequestBody(
        required: true,
        content: [
            new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
            new OA\MediaType(mediaType: 'audio/midi', schema: new OA\Schema(type: 'string', format: 'binary')),
        ],
    ),
        responses: [new OA\Response(
            response: 201,
            description: 'the take with its report',
            content: new OA\JsonContent(ref: '#/components/schemas/Take'),
        )])]
    public function __invoke(
        RecordingRequest $request,
        Breakdown $breakdown,
        StrokeListener $listener,
        TakeJudge $judge,
        Hearings $hearings,
    ): JsonResponse {
        $user = $this->user($request);
        $asked = $request->asked();
        $hear = static function (Timeline $timeline) use ($request, $listener, $hearings, $user, $asked): Take {
            $file = TakeFile::read(
                $request->sound(),
                $request->soundName(),
                $listener,
                static fn (float $done) => $hearings->note($user, $done),
            );
            $ear = $file->hearing?->ear;
            $firstBeat = $request->firstBeat();

            return $firstBeat === null
                ? Take::placed($file->strokes, $timeline, $ear)
                : Take::of($file->strokes, $firstBeat, $ear)->within($asked->bars, $timeline, $asked->from);
        };

        return new JsonResponse(
            TakeResource::of($hearings->of($user, static fn () => $judge->judge($breakdown, $user, $asked, $hear))),
            201,
        );
    }
}
