<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\HandResource;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanHand extends Controller
{
    #[OA\Post(path: '/api/compute/strokes', summary: 'Directions, air strokes, counting and measures of the pattern',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'grid', description: 'slots a beat to show', type: 'integer', nullable: true),
        new OA\Property(property: 'beat', description: 'a beat to show in a division of its own, from 0', type: 'integer', nullable: true),
        new OA\Property(property: 'division', type: 'integer', nullable: true),
        new OA\Property(property: 'level', description: '1 to 3', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Hand'),
    )])]
    public function __invoke(DocumentRequest $request, HandPlanner $planner): JsonResponse
    {
        $desk = $request->desk();
        $ruler = $desk->ruler($request->tempo());
        $hand = $planner->plan($desk->pattern(), $desk->school(), $ruler, $desk->setting->feel);
        $divided = $request->filled('beat') ? [$request->integer('beat') => $request->integer('division')] : [];
        $hand = (new Levels())->planned($hand, $desk->school(), $request->level());

        return new JsonResponse(HandResource::of(
            $desk,
            $hand,
            $ruler,
            $request->tempo() ?? $desk->breakdown->start->tempo,
            $request->filled('grid') ? $request->integer('grid') : null,
            $divided,
        ));
    }
}
