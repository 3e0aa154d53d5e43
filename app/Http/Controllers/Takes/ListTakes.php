<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Http\Requests\PageRequest;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use App\Models\Take;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListTakes extends Controller
{
    private const A_PAGE = 40;

    private const COLUMNS = [
        'id',
        'breakdown_id',
        'player_id',
        'number',
        'created_at',
        'tempo',
        'swing',
        'bars',
        'from_bar',
        'stage',
        'arrangement',
        'level',
        'revision',
        'latency_ms',
        'passed',
        'bias_ms',
        'spread_ms',
        'gate_ms',
        'finding',
        'sound_at',
    ];

    #[OA\Get(path: '/api/breakdowns/{id}/takes', summary: 'Takes of this breakdown: one\'s own, and for its owner everybody\'s',
        parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'cursor', description: 'where the page before ended', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'newest first',
        content: new OA\JsonContent(required: ['items', 'next'], properties: [
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/TakeRow')),
        new OA\Property(property: 'next', description: 'cursor of the next page', type: 'string', nullable: true),
    ]))])]
    public function __invoke(PageRequest $request, Breakdown $breakdown): JsonResponse
    {
        $takes = $breakdown->takesSeenBy($this->user($request))->with('player');
        $page = $takes->latest()->latest('id')->cursorPaginate(self::A_PAGE, self::COLUMNS, 'cursor', $request->cursor('created_at', 'id'));

        return new JsonResponse([
            'items' => array_map(static fn (Take $take): array => TakeResource::row($take), $page->items()),
            'next' => $page->nextCursor()?->encode(),
        ]);
    }
}
