<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\TakeJudge;
use App\Http\Controllers\Controller;
use App\Http\Requests\RecordingRequest;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Gravik\Formats\TakeFile;
use Gravik\Listening\StrokeListener;
use Gravik\Listening\Take;
use Gravik\Performance\Timeline;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearTake extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/recordings', summary: 'Hear, judge and keep a take that was recorded; the sound itself is not kept', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'id', description: 'of the take', required: true, schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'tempo', required: true, schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'bars', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\QueryParameter(name: 'first_beat', description: 'seconds into the recording: only what was played in the bars from there on counts; found where it is missing', schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'stage', description: 'of the lesson, 1 to 10: whose gate it is', schema: new OA\Schema(type: 'integer')),
        new OA\QueryParameter(name: 'latency_ms', description: 'missing: never measured', schema: new OA\Schema(type: 'number')),
    ], requestBody: new OA\RequestBody(required: true, content: [new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')), new OA\MediaType(mediaType: 'audio/midi', schema: new OA\Schema(type: 'string', format: 'binary'))]),
        responses: [new OA\Response(response: 201, description: 'the take with its report', content: new OA\JsonContent(ref: '#/components/schemas/Take'))])]
    public function __invoke(RecordingRequest $request, Breakdown $breakdown, StrokeListener $listener, TakeJudge $judge): JsonResponse
    {
        $this->authorize('view', $breakdown);
        $strokes = TakeFile::read($request->sound(), $request->soundName(), $listener)->strokes;
        $firstBeat = $request->firstBeat();
        $bars = $request->integer('bars');
        $take = $judge->judge($breakdown, $this->user($request), $request->string('id')->toString(), $request->tempo(), $bars, $request->latencyMs(), $request->stage(), static fn (Timeline $timeline): Take => $firstBeat === null
            ? Take::placed($strokes, $timeline)
            : Take::of($strokes, $firstBeat)->within($bars, $timeline->ruler));

        return new JsonResponse(TakeResource::of($take, ListTakes::numberOf($take)), 201);
    }
}
