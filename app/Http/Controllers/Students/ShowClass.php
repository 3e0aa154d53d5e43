<?php

declare(strict_types=1);

namespace App\Http\Controllers\Students;

use App\Http\Controllers\Controller;
use App\Http\Resources\AssignmentResource;
use App\Models\User;
use App\School\ClassBoard;
use App\School\TakeNote;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ClassRow', required: ['id', 'name', 'on', 'sittings', 'stuck', 'minutes', 'late', 'new', 'last'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'on', description: 'what is due soonest', nullable: true, allOf: [
        new OA\Schema(ref: '#/components/schemas/Assignment'),
    ]),
    new OA\Property(property: 'sittings', description: 'the last takes, the oldest first', type: 'array', items: new OA\Items(
        required: ['tempo', 'passed'],
        properties: [new OA\Property(property: 'tempo', type: 'number'), new OA\Property(property: 'passed', type: 'boolean')],
        type: 'object',
    )),
    new OA\Property(property: 'stuck', nullable: true, required: ['finding', 'since', 'take', 'breakdown'], properties: [
        new OA\Property(property: 'finding', type: 'string'),
        new OA\Property(property: 'since', type: 'string'),
        new OA\Property(property: 'take', type: 'string'),
        new OA\Property(property: 'breakdown', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'minutes', description: 'recorded in the last fourteen days', type: 'integer'),
    new OA\Property(property: 'late', description: 'checks that are late', type: 'integer'),
    new OA\Property(property: 'new', description: 'takes since yesterday', type: 'integer'),
    new OA\Property(property: 'last', description: 'when something was played', type: 'string', nullable: true),
])]
final class ShowClass extends Controller
{
    #[OA\Get(path: '/api/class', summary: 'Where each of your students stands', responses: [new OA\Response(
        response: 200,
        description: 'by name',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ClassRow')),
    )])]
    public function __invoke(Request $request, ClassBoard $board): JsonResponse
    {
        $this->authorize('teach', User::class);

        return new JsonResponse(array_map(static fn (array $row): array => [
            'id' => $row['student']->id,
            'name' => $row['student']->name,
            'on' => $row['on'] === null ? null : AssignmentResource::of($row['on']),
            'sittings' => array_map(
                static fn (TakeNote $take): array => ['tempo' => $take->tempo, 'passed' => $take->passed],
                array_reverse($row['takes']),
            ),
            'stuck' => $row['stuck'] === null ? null : [
                'finding' => $row['stuck']->finding,
                'since' => $row['since']?->toIso8601String(),
                'take' => $row['stuck']->id,
                'breakdown' => $row['stuck']->breakdown,
            ],
            'minutes' => $row['minutes'],
            'late' => $row['late'],
            'new' => $row['new'],
            'last' => ($row['takes'][0] ?? null)?->playedAt()->toIso8601String(),
        ], $board->of($this->user($request))));
    }
}
