<?php

declare(strict_types=1);

namespace App\Http\Controllers\Grips;

use App\Http\Controllers\Controller;
use App\Http\Resources\GripResource;
use App\Models\Grip;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Neck\VoicingFinder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListGrips extends Controller
{
    #[OA\Get(path: '/api/grips', summary: 'The grips you named, and how each lies on a chord', parameters: [
        new OA\Parameter(name: 'symbol', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'tuning', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'capo', in: 'query', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(response: 200, description: 'grips', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OwnGrip')))])]
    public function __invoke(Request $request): JsonResponse
    {
        $chord = $request->filled('symbol') ? ChordSymbol::parse($request->string('symbol')->toString()) : null;
        $neck = new Neck(Tuning::parse($request->string('tuning', 'standard')->toString()), $request->integer('capo'));
        $finder = new VoicingFinder($neck);
        $grips = Grip::query()->where('owner_id', $this->user($request)->id)->get()->sortBy('name')->values();

        return new JsonResponse($grips->map(static fn (Grip $grip): array => GripResource::of($grip, $chord, $neck, $finder))->all());
    }
}
