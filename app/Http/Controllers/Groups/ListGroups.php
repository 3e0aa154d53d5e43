<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Models\Group;
use App\Models\User;
use Gravik\Band\Instrument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Group', required: ['id', 'name', 'code', 'members', 'plays'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'code', description: 'by which students join; null while nobody may', type: 'string', nullable: true),
    new OA\Property(property: 'members', description: 'ids of students', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'plays', description: 'instrument of each member who has one', type: 'array', items: new OA\Items(
        required: ['student', 'instrument'],
        properties: [
            new OA\Property(property: 'student', type: 'integer'),
            new OA\Property(property: 'instrument', type: 'string', enum: Instrument::class),
        ],
        type: 'object',
    )),
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
        $plays = $group->members->mapWithKeys(static fn (User $member): array => [$member->id => $group->playsOf($member)])->filter();

        return [
            'id' => $group->id,
            'name' => $group->name,
            'code' => $group->code,
            'members' => $group->members->modelKeys(),
            'plays' => $plays->map(
                static fn (string $plays, int $student): array => ['student' => $student, 'instrument' => $plays],
            )->values()->all(),
        ];
    }
}
