<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Documents\BreakdownStore;
use App\Http\Controllers\Controller;
use App\Http\Resources\BreakdownResource;
use App\Http\Resources\HandResource;
use App\Models\Breakdown;
use App\Models\Role;
use Gravik\Strokes\HandPlanner;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListBreakdowns extends Controller
{
    #[OA\Get(path: '/api/breakdowns', summary: 'The shelf: own breakdowns and assigned ones', responses: [new OA\Response(response: 200, description: 'the shelf', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/BreakdownCard')))])]
    public function __invoke(Request $request, BreakdownStore $store, HandPlanner $planner): JsonResponse
    {
        $user = $this->user($request);
        $breakdowns = Breakdown::visibleTo($user)->withCount(['takes' => static fn (Builder $takes): Builder => $user->role === Role::Teacher ? $takes : $takes->where('player_id', $user->id)])->latest('updated_at')->get();

        return new JsonResponse($breakdowns->map(static function (Breakdown $breakdown) use ($user, $store, $planner): array {
            $document = $store->document($breakdown);
            $ruler = $document->ruler();
            $hand = $planner->plan($document->pattern, $document->school, $ruler, $document->feel);

            return BreakdownResource::card($breakdown, $user, (int) $breakdown->getAttribute('takes_count'), HandResource::sketch($document, $hand, $ruler));
        })->all());
    }
}
