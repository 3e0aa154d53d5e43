<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moves;

use App\Http\Controllers\Controller;
use App\Models\KeptMove;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ForgetMove extends Controller
{
    #[OA\Delete(
        path: '/api/moves/{move}',
        summary: 'Forget a move you recorded; songs that play it keep it',
        parameters: [new OA\Parameter(name: 'move', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'gone')],
    )]
    public function __invoke(Request $request, string $move): JsonResponse
    {
        KeptMove::query()->where('owner_id', $this->user($request)->id)->findOrFail($move)->delete();

        return new JsonResponse(null, 204);
    }
}
