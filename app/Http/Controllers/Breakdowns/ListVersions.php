<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Http\Requests\PageRequest;
use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Version', required: ['id', 'number', 'refused', 'saved_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'refused', description: 'kept, but never became the saved one', type: 'boolean'),
    new OA\Property(property: 'saved_at', type: 'string'),
])]
final class ListVersions extends Controller
{
    private const A_PAGE = 50;

    #[OA\Get(path: '/api/breakdowns/{id}/versions', summary: 'Versions to go back to', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'cursor', description: 'where the page before ended', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'newest first',
        content: new OA\JsonContent(required: ['items', 'next'], properties: [
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/Version')),
        new OA\Property(property: 'next', description: 'cursor of the next page', type: 'string', nullable: true),
    ]))])]
    public function __invoke(PageRequest $request, Breakdown $breakdown): JsonResponse
    {
        $page = $breakdown->revisions()->latest('number')->latest('id')->cursorPaginate(
            self::A_PAGE,
            ['id', 'number', 'refused', 'updated_at'],
            'cursor',
            $request->cursor('number', 'id'),
        );

        return new JsonResponse([
            'items' => array_map(static fn (BreakdownRevision $version): array => [
                'id' => $version->id, 'number' => $version->number, 'refused' => $version->refused, 'saved_at' => $version->updated_at->toIso8601String(),
            ], $page->items()),
            'next' => $page->nextCursor()?->encode(),
        ]);
    }
}
