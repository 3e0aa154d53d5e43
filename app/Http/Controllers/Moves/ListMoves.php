<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moves;

use App\Http\Controllers\Controller;
use App\Http\Resources\MoveResource;
use App\Models\KeptMove;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListMoves extends Controller
{
    #[OA\Get(path: '/api/moves', summary: 'The moves you recorded, by name', responses: [new OA\Response(
        response: 200,
        description: 'moves',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/KeptMove')),
    )])]
    public function __invoke(Request $request): JsonResponse
    {
        $moves = KeptMove::query()->where('owner_id', $this->user($request)->id)->get()->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->values();

        return new JsonResponse($moves->map(MoveResource::of(...))->all());
    }
}
