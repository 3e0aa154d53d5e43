<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Http\Requests\GroupRequest;
use App\Models\Group;
use App\Models\User;
use App\School\Invitations;
use Gravik\Band\Instrument;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ChangeGroup extends Controller
{
    #[OA\Put(path: '/api/groups/{group}', summary: 'Name, members, and whether students may join by code', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name'], properties: [
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'open', description: 'a code is made, or the one there was works no more', type: 'boolean'),
        new OA\Property(property: 'members', description: 'ids of your students', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'plays', description: 'instruments of members', type: 'array', items: new OA\Items(
            required: ['student', 'instrument'],
            properties: [
                new OA\Property(property: 'student', type: 'integer'),
                new OA\Property(property: 'instrument', type: 'string', enum: Instrument::class, nullable: true),
            ],
            type: 'object',
        )),
    ])), responses: [
        new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/Group')),
    ])]
    public function __invoke(GroupRequest $request, Group $group, Invitations $invitations): JsonResponse
    {
        $group->name = $request->name();
        if ($request->has('open')) {
            $group->code = $request->boolean('open') ? $group->code ?? $invitations->newCode() : null;
        }
        $group->save();
        $members = $request->members();
        if ($members !== null) {
            // Whoever is not taught here is left out without a word: their ids are nobody else's business.
            $group->members()->sync(User::taughtBy($this->user($request))->whereKey($members)->pluck('id'));
        }

        foreach ($request->plays() as $student => $instrument) {
            $group->members()->updateExistingPivot($student, ['plays' => $instrument]);
        }

        return new JsonResponse(ListGroups::told($group->load('members:id')));
    }
}
