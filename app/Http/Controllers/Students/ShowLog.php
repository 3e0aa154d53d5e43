<?php

declare(strict_types=1);

namespace App\Http\Controllers\Students;

use App\Http\Controllers\Controller;
use App\Http\Requests\LogRequest;
use App\Http\Resources\LogResource;
use App\Models\Breakdown;
use App\School\StudentLog;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowLog extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/log', summary: 'What one student reached at a breakdown, and where it sticks', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'player', description: 'id; one\'s own, or for its owner whoever played it last',
            schema: new OA\Schema(type: 'integer')),
        new OA\QueryParameter(name: 'stage', description: 'whose slots are looked at; missing: that of the last take',
            schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the log', content: new OA\JsonContent(ref: '#/components/schemas/Log'))])]
    public function __invoke(LogRequest $request, Breakdown $breakdown, StudentLog $log): JsonResponse
    {
        $players = $log->players($breakdown, $this->user($request));
        $asked = $request->player() ?? $breakdown->takesSeenBy($this->user($request))->latest()->value('player_id');
        $player = $players->firstWhere('id', $asked);
        abort_if($request->player() !== null && $player === null, 404);

        return new JsonResponse(LogResource::of($log->of($breakdown, $players, $player, $request->stage())));
    }
}
