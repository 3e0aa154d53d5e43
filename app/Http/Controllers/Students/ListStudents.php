<?php

declare(strict_types=1);

namespace App\Http\Controllers\Students;

use App\Http\Controllers\Controller;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Student', required: ['id', 'name', 'hand'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'hand', description: 'size, then thumb, no-barre, avoid-4 …', type: 'string'),
])]
final class ListStudents extends Controller
{
    #[OA\Get(
        path: '/api/students',
        summary: 'Whoever one of your breakdowns is assigned to, with their hands',
        responses: [new OA\Response(
            response: 200,
            description: 'students',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Student')),
        )],
    )]
    public function __invoke(Request $request): JsonResponse
    {
        $students = User::taughtBy($this->user($request))->get()->sortBy('name')->values();

        return new JsonResponse($students->map(static fn (User $student): array => [
            'id' => $student->id,
            'name' => $student->name,
            'hand' => $student->hand,
        ])->all());
    }
}
