<?php

declare(strict_types=1);

namespace App\Http\Controllers\Grips;

use App\Http\Controllers\Controller;
use App\Http\Requests\OwnGripRequest;
use App\Http\Resources\GripResource;
use App\Models\Grip;
use Gravik\Neck\Finder\VoicingFinder;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListGrips extends Controller
{
    #[OA\Get(path: '/api/grips', summary: 'The grips you named, and how each lies on a chord', parameters: [
        new OA\Parameter(name: 'symbol', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'tuning', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'capo', in: 'query', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(
        response: 200,
        description: 'grips',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OwnGrip')),
    )])]
    public function __invoke(OwnGripRequest $request): JsonResponse
    {
        $chord = $request->chord();
        $neck = $request->neck();
        $finder = new VoicingFinder($neck);
        $grips = Grip::query()->where('owner_id', $this->user($request)->id)->get()->sortBy('name')->values();

        return new JsonResponse($grips->map(static fn (Grip $grip): array => GripResource::of($grip, $chord, $neck, $finder))->all());
    }
}
