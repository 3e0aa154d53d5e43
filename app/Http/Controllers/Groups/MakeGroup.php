<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Http\Requests\GroupRequest;
use App\Models\Group;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MakeGroup extends Controller
{
    #[OA\Post(path: '/api/groups', summary: 'A new class or band', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['name'], properties: [new OA\Property(property: 'name', type: 'string')]),
    ), responses: [
        new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(ref: '#/components/schemas/Group')),
    ])]
    public function __invoke(GroupRequest $request): JsonResponse
    {
        $this->authorize('make', Group::class);
        $group = Group::query()->create(['teacher_id' => $this->user($request)->id, 'name' => $request->name()]);

        return new JsonResponse(ListGroups::told($group), 201);
    }
}
