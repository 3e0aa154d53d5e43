<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Documents\BreakdownStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\SaveRequest;
use App\Http\Resources\BreakdownResource;
use App\Models\Breakdown;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** New, duplicated and imported breakdowns all come in here: the client sends the document and an id of its making. */
final class CreateBreakdown extends Controller
{
    #[OA\Post(path: '/api/breakdowns', summary: 'Put a breakdown on the shelf; the same id twice gives the first one back',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'sitting'], properties: [
        new OA\Property(property: 'id', type: 'string', nullable: true),
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'sitting', type: 'string'),
    ])), responses: [new OA\Response(
        response: 201,
        description: 'as it was saved',
        content: new OA\JsonContent(ref: '#/components/schemas/StoredBreakdown'),
    )])]
    public function __invoke(SaveRequest $request, BreakdownStore $store): JsonResponse
    {
        $this->authorize('create', Breakdown::class);
        $user = $this->user($request);
        $id = $request->input('id');
        $breakdown = $store->create(
            $user,
            is_string($id) ? mb_strtolower($id) : null,
            $request->breakdown(),
            $request->string('sitting')->toString(),
        );

        return new JsonResponse(BreakdownResource::full($breakdown, $user), 201);
    }
}
