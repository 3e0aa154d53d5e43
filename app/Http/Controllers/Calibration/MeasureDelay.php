<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calibration;

use App\Documents\DelayStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\ClicksRequest;
use Gravik\Listening\Hearing\LatencyCheck;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MeasureDelay extends Controller
{
    #[OA\Put(path: '/api/calibrations/{device}', summary: 'Measure and keep a device\'s delay from taps along with clicks',
        parameters: [new OA\PathParameter(
            name: 'device',
            schema: new OA\Schema(type: 'string'),
        )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['clicks', 'taps'], properties: [
            new OA\Property(property: 'clicks', type: 'array', items: new OA\Items(type: 'number')),
            new OA\Property(property: 'taps', type: 'array', items: new OA\Items(type: 'number')),
        ])), responses: [new OA\Response(
            response: 200,
            description: 'the delay',
            content: new OA\JsonContent(ref: '#/components/schemas/Calibration'),
        )])]
    public function __invoke(ClicksRequest $request, string $device, DelayStore $delays): JsonResponse
    {
        $check = LatencyCheck::of($request->seconds('clicks'), $request->seconds('taps'));

        return new JsonResponse(ShowDelay::of($delays->keep($this->user($request), $device, $check)));
    }
}
