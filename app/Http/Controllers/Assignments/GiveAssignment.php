<?php

declare(strict_types=1);

namespace App\Http\Controllers\Assignments;

use App\Http\Controllers\Controller;
use App\Http\Requests\AssignmentRequest;
use App\Http\Resources\AssignmentResource;
use App\Models\Assignment;
use App\Models\Breakdown;
use App\Models\User;
use App\School\Assigning;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class GiveAssignment extends Controller
{
    #[OA\Post(path: '/api/assignments', summary: 'Give students work', requestBody: new OA\RequestBody(required: true,
        content: new OA\JsonContent(required: ['breakdown', 'students'], properties: [
            new OA\Property(property: 'breakdown', type: 'string'),
            new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'integer')),
            new OA\Property(
                property: 'stages',
                description: 'keys, in order; none for the whole song',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
            new OA\Property(property: 'due_on', type: 'string', nullable: true),
            new OA\Property(property: 'minutes', description: 'a day', type: 'integer'),
            new OA\Property(property: 'opens', type: 'boolean'),
        ])), responses: [new OA\Response(response: 201, description: 'given', content: new OA\JsonContent(type: 'array',
            items: new OA\Items(ref: '#/components/schemas/Assignment')))])]
    public function __invoke(AssignmentRequest $request, Assigning $assigning): JsonResponse
    {
        $user = $this->user($request);
        $breakdown = Breakdown::query()->findOrFail($request->string('breakdown')->toString());
        $this->authorize('own', $breakdown);
        $asked = array_values(array_unique($request->students()));
        $students = array_values(User::taughtBy($user)->whereKey($asked)->get()->all());
        // Who is not taught here is not there.
        count($students) === count($asked) || abort(404);
        $given = $assigning->give(
            $user,
            $breakdown,
            $students,
            $request->stages(),
            $request->due(),
            $request->minutes(),
            $request->boolean('opens', true),
        );

        return new JsonResponse(array_map(
            static fn (Assignment $each): array => AssignmentResource::of($each->setRelation('breakdown', $breakdown)),
            $given,
        ), 201);
    }
}
