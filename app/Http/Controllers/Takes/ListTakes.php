<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use App\Models\Take;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListTakes extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/takes', summary: 'Takes of this breakdown: one\'s own, and for its owner everybody\'s', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'oldest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Take')))])]
    public function __invoke(Request $request, Breakdown $breakdown): JsonResponse
    {
        $this->authorize('view', $breakdown);
        $user = $this->user($request);
        $takes = $breakdown->takes()->with('player')->oldest()->oldest('id')->get();
        $numbers = [];
        $listed = [];
        foreach ($takes as $take) {
            $numbers[$take->player_id] = ($numbers[$take->player_id] ?? 0) + 1;
            if ($take->player_id === $user->id || $breakdown->owner_id === $user->id) {
                $listed[] = TakeResource::of($take, $numbers[$take->player_id]);
            }
        }

        return new JsonResponse($listed);
    }

    public static function numberOf(Take $take): int
    {
        return Take::query()->where('breakdown_id', $take->breakdown_id)->where('player_id', $take->player_id)->where('created_at', '<=', $take->created_at)->count();
    }
}
