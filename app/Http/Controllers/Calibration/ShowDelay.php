<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calibration;

use App\Http\Controllers\Controller;
use App\Models\Calibration;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Calibration', required: ['latency_ms', 'spread_ms', 'was_ms', 'measured_at'], properties: [
    new OA\Property(property: 'latency_ms', type: 'number'),
    new OA\Property(property: 'spread_ms', type: 'number'),
    new OA\Property(property: 'was_ms', description: 'when it was measured the time before', type: 'number', nullable: true),
    new OA\Property(property: 'measured_at', type: 'string'),
])]
final class ShowDelay extends Controller
{
    #[OA\Get(path: '/api/calibrations/{device}', summary: 'The measured delay of a device, null where there is none',
        parameters: [new OA\PathParameter(
            name: 'device',
            schema: new OA\Schema(type: 'string'),
        )], responses: [new OA\Response(response: 200, description: 'the delay',
            content: new OA\JsonContent(required: ['calibration'], properties: [
            new OA\Property(property: 'calibration', ref: '#/components/schemas/Calibration', nullable: true),
    ]))])]
    public function __invoke(Request $request, string $device): JsonResponse
    {
        $calibration = Calibration::query()->where('user_id', $this->user($request)->id)->where('device', $device)->first();

        return new JsonResponse(['calibration' => $calibration === null ? null : self::of($calibration)]);
    }

    /** @return array<string, mixed> */
    public static function of(Calibration $calibration): array
    {
        return [
            'latency_ms' => $calibration->latency_ms,
            'spread_ms' => $calibration->spread_ms,
            'was_ms' => $calibration->was_ms,
            'measured_at' => $calibration->measured_at->toIso8601String(),
        ];
    }
}
