<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Controllers\Session\WhoAmI;
use App\Http\Requests\NewPersonRequest;
use App\School\Entrance;
use App\School\Invitations;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class JoinByCode extends Controller
{
    #[OA\Post(path: '/api/join', summary: 'Join a class by its code', requestBody: new OA\RequestBody(required: true,
        content: new OA\JsonContent(allOf: [
            new OA\Schema(ref: '#/components/schemas/NewPerson'),
            new OA\Schema(required: ['code'], properties: [new OA\Property(property: 'code', type: 'string')]),
        ])), responses: [
            new OA\Response(response: 201, description: 'signed in', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
        ])]
    public function __invoke(NewPersonRequest $request, Invitations $invitations, Entrance $entrance): JsonResponse
    {
        $student = $invitations->join($request->string('code')->toString(), $request->name(), $request->email(), $request->password());
        $entrance->letIn($request, $student);

        return new JsonResponse(WhoAmI::person($student), 201);
    }
}
