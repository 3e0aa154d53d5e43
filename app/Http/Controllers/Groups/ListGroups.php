<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Models\Group;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Group', required: ['id', 'name', 'code', 'members'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'code', description: 'by which students join; null while nobody may', type: 'string', nullable: true),
    new OA\Property(property: 'members', description: 'ids of students', type: 'array', items: new OA\Items(type: 'integer')),
])]
final class ListGroups extends Controller
{
    #[OA\Get(path: '/api/groups', summary: 'Your classes and bands', responses: [new OA\Response(
        response: 200,
        description: 'by name',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Group')),
    )])]
    public function __invoke(Request $request): JsonResponse
    {
        $groups = Group::query()->with('members:id')->where('teacher_id', $this->user($request)->id)->get()->sortBy('name')->values();

        return new JsonResponse($groups->map(static fn (Group $group): array => self::told($group))->all());
    }

    /** @return array<string, mixed> */
    public static function told(Group $group): array
    {
        return ['id' => $group->id, 'name' => $group->name, 'code' => $group->code, 'members' => $group->members->modelKeys()];
    }
}
