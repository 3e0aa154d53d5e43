<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Documents\BreakdownStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\PageRequest;
use App\Http\Resources\BreakdownResource;
use App\Models\Breakdown;
use App\Models\Role;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListBreakdowns extends Controller
{
    private const A_PAGE = 60;

    private const COLUMNS = ['id', 'owner_id', 'title', 'genre', 'key', 'meter', 'tempo', 'feel', 'revision', 'sketch', 'updated_at'];

    #[OA\Get(path: '/api/breakdowns', summary: 'The shelf: own breakdowns and assigned ones', parameters: [
        new OA\QueryParameter(
            name: 'search',
            description: 'words of title, genre, key, feel or meter',
            schema: new OA\Schema(type: 'string'),
        ),
        new OA\QueryParameter(name: 'cursor', description: 'where the page before ended', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the last changed first',
        content: new OA\JsonContent(required: ['items', 'next', 'total'], properties: [
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/BreakdownCard')),
        new OA\Property(property: 'next', description: 'cursor of the next page', type: 'string', nullable: true),
        new OA\Property(
            property: 'total',
            description: 'how many there are in all, told with the first page',
            type: 'integer',
            nullable: true,
        ),
    ]))])]
    public function __invoke(PageRequest $request, BreakdownStore $store): JsonResponse
    {
        $user = $this->user($request);
        $found = Breakdown::visibleTo($user);
        foreach ($request->words() as $word) {
            $found->where('words', 'like', '%'.addcslashes($word, '%_\\').'%');
        }
        $cursor = $request->cursor('updated_at', 'id');
        $total = $cursor === null ? (clone $found)->count() : null;
        $page = $found->withCount(['takes' => static fn (Builder $takes): Builder => $user->role === Role::Teacher ? $takes : $takes->where('player_id', $user->id)])
            ->latest('updated_at')->latest('id')->cursorPaginate(self::A_PAGE, self::COLUMNS, 'cursor', $cursor);

        return new JsonResponse([
            'items' => array_map(
                static fn (Breakdown $breakdown): array => BreakdownResource::card(
                    $breakdown,
                    $user,
                    (int) $breakdown->getAttribute('takes_count'),
                    $store->sketch($breakdown),
                ),
                $page->items(),
            ),
            'next' => $page->nextCursor()?->encode(),
            'total' => $total,
        ]);
    }
}
