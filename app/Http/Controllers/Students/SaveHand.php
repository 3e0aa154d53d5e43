<?php

declare(strict_types=1);

namespace App\Http\Controllers\Students;

use App\Http\Controllers\Controller;
use App\Http\Requests\HandOfStudentRequest;
use App\Models\User;
use App\School\Easing;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SaveHand extends Controller
{
    #[OA\Put(path: '/api/students/{student}/hand', summary: 'What a student\'s hand can do', parameters: [new OA\Parameter(
        name: 'student',
        in: 'path',
        required: true,
        schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['hand'], properties: [
        new OA\Property(property: 'hand', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'kept',
        content: new OA\JsonContent(ref: '#/components/schemas/Student'),
    )])]
    public function __invoke(HandOfStudentRequest $request, int $student, Easing $easing): JsonResponse
    {
        $user = $this->user($request);
        $taught = $user->id === $student ? $user : User::taughtBy($user)->findOrFail($student);
        $taught->hand = $request->hand()->text();
        $taught->save();
        $easing->allOf($taught);

        return new JsonResponse(['id' => $taught->id, 'name' => $taught->name, 'hand' => $taught->hand]);
    }
}
