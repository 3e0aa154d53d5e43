<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Requests\ManyInvitationsRequest;
use App\Models\Group;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\School\Invitations;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class InviteMany extends Controller
{
    #[OA\Post(path: '/api/invitations/many', summary: 'A link for each student of a list', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['names'], properties: [
            new OA\Property(property: 'names', description: 'one a line, or a table with names in its first column', type: 'string'),
            new OA\Property(property: 'group', description: 'they join', type: 'string', nullable: true),
        ]),
    ), responses: [new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(required: [
        'made', 'problems',
    ], properties: [
        new OA\Property(property: 'made', type: 'array', items: new OA\Items(required: ['name', 'path'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'path', description: 'shown once', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'problems', description: 'lines that are left out', type: 'array', items: new OA\Items(
            required: ['line', 'says'],
            properties: [
                new OA\Property(property: 'line', description: 'from 1', type: 'integer'),
                new OA\Property(property: 'says', type: 'string'),
            ],
            type: 'object',
        )),
    ]))])]
    public function __invoke(ManyInvitationsRequest $request, Invitations $invitations): JsonResponse
    {
        $this->authorize('make', [Invitation::class, InvitationKind::Student]);
        $group = $request->filled('group') ? Group::query()->findOrFail($request->string('group')->toString()) : null;
        if ($group !== null) {
            $this->authorize('own', $group);
        }
        $list = $request->names();
        $made = $invitations->makeMany($this->user($request), $list->names, $group);

        return new JsonResponse([
            'made' => array_map(static fn (array $each): array => ['name' => $each['name'], 'path' => "/join/{$each['token']}"], $made),
            'problems' => $list->problems,
        ], 201);
    }
}
