<?php

declare(strict_types=1);

namespace App\Http\Controllers\Assignments;

use App\Http\Controllers\Controller;
use App\Http\Requests\AssignmentChangeRequest;
use App\Http\Resources\AssignmentResource;
use App\Models\Assignment;
use App\School\Assigning;
use App\School\Easing;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ChangeAssignment extends Controller
{
    #[OA\Put(path: '/api/assignments/{assignment}',
        summary: 'Change work that is given, open a stage, or go on with today’s version', parameters: [
        new OA\PathParameter(name: 'assignment', schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'due_on', type: 'string', nullable: true),
        new OA\Property(property: 'minutes', type: 'integer'),
        new OA\Property(property: 'opens', type: 'boolean'),
        new OA\Property(property: 'reached', description: 'the stage that is to lie on the stand, from 0', type: 'integer'),
        new OA\Property(property: 'eases', description: 'grips that the student’s hand cannot take are given easier', type: 'boolean'),
        new OA\Property(property: 'renew', description: 'it goes on with the breakdown as it is now', type: 'boolean'),
    ])), responses: [
        new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/Assignment')),
    ])]
    public function __invoke(AssignmentChangeRequest $request, Assignment $assignment, Assigning $assigning, Easing $easing): JsonResponse
    {
        $changes = $request->changes();
        if (isset($changes['reached'])) {
            $changes['reached'] = min((int) $changes['reached'], max(0, count($assignment->stages ?? []) - 1));
            $changes['passed_at'] = null;
        }
        $assignment->update($changes);
        if (isset($changes['eases'])) {
            $easing->of($assignment->loadMissing(['breakdown', 'student']));
        }
        if ($request->boolean('renew')) {
            $assigning->renew($assignment);
        }

        return new JsonResponse(AssignmentResource::of($assignment));
    }
}
