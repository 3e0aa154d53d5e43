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

final class SaveBreakdown extends Controller
{
    #[OA\Put(path: '/api/breakdowns/{id}', summary: 'Save; refused with 409 where the revision is stale', parameters: [new OA\PathParameter(
        name: 'id',
        schema: new OA\Schema(type: 'string'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [
        'document',
        'revision',
        'sitting',
    ], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'revision', description: 'the one this save started from', type: 'integer'),
        new OA\Property(property: 'sitting', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'as it was saved',
        content: new OA\JsonContent(ref: '#/components/schemas/StoredBreakdown'),
    )])]
    public function __invoke(SaveRequest $request, Breakdown $breakdown, BreakdownStore $store): JsonResponse
    {
        $user = $this->user($request);
        $saved = $store->save(
            $breakdown,
            $user,
            $request->breakdown(),
            $request->integer('revision'),
            $request->string('sitting')->toString(),
        );

        return new JsonResponse(BreakdownResource::full($saved, $user));
    }
}
