<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Http\Resources\BreakdownResource;
use App\Models\Breakdown;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowVersion extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/versions/{version}', summary: 'One version\'s document', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'version', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(response: 200, description: 'the document',
        content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ]))])]
    public function __invoke(Breakdown $breakdown, int $version): JsonResponse
    {
        return new JsonResponse(['document' => BreakdownResource::document($breakdown->revisions()->findOrFail($version)->document)]);
    }
}
