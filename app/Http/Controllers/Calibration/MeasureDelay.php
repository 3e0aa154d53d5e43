<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calibration;

use App\Documents\DelayStore;
use App\Http\Controllers\Controller;
use Gravik\Listening\LatencyCheck;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class MeasureDelay extends Controller
{
    #[OA\Put(path: '/api/calibrations/{device}', summary: 'Measure and keep a device\'s delay from taps along with clicks', parameters: [new OA\PathParameter(name: 'device', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['clicks', 'taps'], properties: [
        new OA\Property(property: 'clicks', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(property: 'taps', type: 'array', items: new OA\Items(type: 'number')),
    ])), responses: [new OA\Response(response: 200, description: 'the delay', content: new OA\JsonContent(ref: '#/components/schemas/Calibration'))])]
    public function __invoke(Request $request, string $device, DelayStore $delays): JsonResponse
    {
        $request->validate(['clicks' => ['required', 'array', 'min:8', 'max:64'], 'clicks.*' => ['numeric'], 'taps' => ['present', 'array', 'max:200'], 'taps.*' => ['numeric']]);
        $check = LatencyCheck::of($this->seconds($request, 'clicks'), $this->seconds($request, 'taps'));

        return new JsonResponse(ShowDelay::of($delays->keep($this->user($request), $device, $check)));
    }

    /** @return list<float> */
    private function seconds(Request $request, string $field): array
    {
        return array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, array_values($request->array($field)));
    }
}
