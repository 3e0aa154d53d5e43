<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Http\Resources\BreakdownResource;
use App\Models\Breakdown;
use App\School\AssignedVersions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ShowBreakdown extends Controller
{
    #[OA\Get(
        path: '/api/breakdowns/{id}',
        summary: 'One breakdown with its document',
        parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(
            response: 200,
            description: 'the breakdown',
            content: new OA\JsonContent(ref: '#/components/schemas/StoredBreakdown'),
        )],
    )]
    public function __invoke(Request $request, Breakdown $breakdown, AssignedVersions $versions): JsonResponse
    {
        $reader = $this->user($request);

        return new JsonResponse(BreakdownResource::full($versions->seenBy($breakdown, $reader), $reader));
    }
}
