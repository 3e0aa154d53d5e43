<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Version', required: ['id', 'number', 'refused', 'saved_at', 'document'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'refused', description: 'kept, but never became the saved one', type: 'boolean'),
    new OA\Property(property: 'saved_at', type: 'string'),
    new OA\Property(property: 'document', type: 'object'),
])]
final class ListVersions extends Controller
{
    private const MOST = 50;

    #[OA\Get(path: '/api/breakdowns/{id}/versions', summary: 'Versions to go back to, newest first', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'versions', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Version')))])]
    public function __invoke(Breakdown $breakdown): JsonResponse
    {
        $this->authorize('own', $breakdown);
        $versions = BreakdownRevision::query()->where('breakdown_id', $breakdown->id)->latest('number')->latest('id')->simplePaginate(self::MOST)->items();

        return new JsonResponse(array_map(static fn (BreakdownRevision $version): array => [
            'id' => $version->id,
            'number' => $version->number,
            'refused' => $version->refused,
            'saved_at' => $version->updated_at->toIso8601String(),
            'document' => json_decode($version->document, true, 64, JSON_THROW_ON_ERROR),
        ], $versions));
    }
}
