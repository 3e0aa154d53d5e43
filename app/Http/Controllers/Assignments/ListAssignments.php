<?php

declare(strict_types=1);

namespace App\Http\Controllers\Assignments;

use App\Http\Controllers\Controller;
use App\Http\Resources\AssignmentResource;
use App\Models\Assignment;
use App\School\Assigning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListAssignments extends Controller
{
    #[OA\Get(path: '/api/assignments', summary: 'A student’s own work; for a teacher the work at their breakdowns', parameters: [
        new OA\QueryParameter(name: 'student', description: 'whose, for a teacher', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(response: 200, description: 'the soonest due first', content: new OA\JsonContent(type: 'array',
        items: new OA\Items(allOf: [
            new OA\Schema(ref: '#/components/schemas/Assignment'),
            new OA\Schema(required: ['differs'], properties: [new OA\Property(
                property: 'differs',
                description: 'what the teacher has changed since, in words',
                type: 'array',
                items: new OA\Items(type: 'string'),
            )]),
        ])))])]
    public function __invoke(Request $request, Assigning $assigning): JsonResponse
    {
        $user = $this->user($request);
        $found = Assignment::listed()->with('breakdown');
        if ($request->filled('student') && $request->integer('student') !== $user->id) {
            $found->where('student_id', $request->integer('student'));
            $found->whereHas('breakdown', static fn ($own) => $own->where('owner_id', $user->id));
        } else {
            $found->where('student_id', $user->id);
        }

        $sorted = $found->get()->sortBy(static fn (Assignment $each): string => $each->order())->values();

        return new JsonResponse($sorted->map(static fn (Assignment $each): array => AssignmentResource::of($each) + [
            'differs' => $assigning->differences($each),
        ])->all());
    }
}
