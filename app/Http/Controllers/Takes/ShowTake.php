<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ShowTake extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/takes/{take}', summary: 'One take with its strokes and its report', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'take', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the take', content: new OA\JsonContent(ref: '#/components/schemas/Take'))])]
    public function __invoke(Request $request, Breakdown $breakdown, string $take): JsonResponse
    {
        $user = $this->user($request);
        $takes = $breakdown->takes()->with('player')->when(
            $breakdown->owner_id !== $user->id,
            static fn ($own) => $own->where('player_id', $user->id),
        );

        return new JsonResponse(TakeResource::of($takes->findOrFail(mb_strtolower($take))));
    }
}
