<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calibration;

use App\Documents\DelayStore;
use App\Http\Controllers\Controller;
use App\Http\Hearings;
use App\Http\Requests\LoopbackRequest;
use Gravik\Formats\WavSource;
use Gravik\Listening\Hearing\LatencyCheck;
use Gravik\Listening\Hearing\StrokeListener;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearDelay extends Controller
{
    #[OA\Put(path: '/api/calibrations/{device}/recording',
        summary: 'Measure and keep a device\'s delay from a recording of its own clicks', parameters: [
        new OA\PathParameter(name: 'device', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(
            name: 'first',
            description: 'second of the recording at which the first click was played',
            required: true,
            schema: new OA\Schema(type: 'number'),
        ),
        new OA\QueryParameter(
            name: 'every',
            description: 'seconds from click to click',
            required: true,
            schema: new OA\Schema(type: 'number'),
        ),
        new OA\QueryParameter(name: 'count', required: true, schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(
        required: true,
        content: new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
    ),
        responses: [new OA\Response(
            response: 200,
            description: 'the delay',
            content: new OA\JsonContent(ref: '#/components/schemas/Calibration'),
        )])]
    public function __invoke(
        LoopbackRequest $request,
        string $device,
        StrokeListener $listener,
        DelayStore $delays,
        Hearings $hearings,
    ): JsonResponse {
        $user = $this->user($request);
        $check = $hearings->of(
            $user,
            static fn (): LatencyCheck => LatencyCheck::heard($request->clicks(), $listener->hear(WavSource::open($request->sound()))),
        );

        return new JsonResponse(ShowDelay::of($delays->keep($user, $device, $check)));
    }
}
