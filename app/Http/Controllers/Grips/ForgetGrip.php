<?php

declare(strict_types=1);

namespace App\Http\Controllers\Grips;

use App\Http\Controllers\Controller;
use App\Models\Grip;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ForgetGrip extends Controller
{
    #[OA\Delete(
        path: '/api/grips/{grip}',
        summary: 'Forget a grip you named',
        parameters: [new OA\Parameter(name: 'grip', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'gone')],
    )]
    public function __invoke(Request $request, string $grip): JsonResponse
    {
        Grip::query()->where('owner_id', $this->user($request)->id)->findOrFail($grip)->delete();

        return new JsonResponse(null, 204);
    }
}
