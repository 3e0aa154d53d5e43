<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Http\Requests\RemarkRequest;
use App\Models\Breakdown;
use App\Models\Remark;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class WriteRemark extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/takes/{take}/remarks', summary: 'A sentence on a take, or on a moment in it', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'take', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['text'], properties: [
        new OA\Property(property: 'text', type: 'string'),
        new OA\Property(property: 'seconds', type: 'number', nullable: true),
    ])), responses: [
        new OA\Response(response: 201, description: 'kept', content: new OA\JsonContent(ref: '#/components/schemas/TakeRemark')),
    ])]
    public function __invoke(RemarkRequest $request, Breakdown $breakdown, string $take): JsonResponse
    {
        $user = $this->user($request);
        $found = $breakdown->takesSeenBy($user)->findOrFail($take);
        $remark = Remark::query()->create([
            'take_id' => $found->getKey(),
            'author_id' => $user->id,
            'text' => trim($request->string('text')->toString()),
            'seconds' => $request->filled('seconds') ? $request->float('seconds') : null,
        ]);

        return new JsonResponse(ListRemarks::told($remark->setRelation('author', $user)), 201);
    }
}
