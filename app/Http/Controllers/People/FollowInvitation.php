<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Controllers\Session\WhoAmI;
use App\Http\Requests\NewPasswordRequest;
use App\Http\Requests\NewPersonRequest;
use App\Models\InvitationKind;
use App\School\Entrance;
use App\School\Invitations;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NewPerson', required: ['name', 'email', 'password'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'password', type: 'string'),
])]
final class FollowInvitation extends Controller
{
    #[OA\Post(path: '/api/join/{token}', summary: 'Come in by a link: an account, or for who has one a new password', parameters: [
        new OA\PathParameter(name: 'token', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPerson')),
        responses: [
            new OA\Response(response: 201, description: 'signed in', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
        ])]
    public function __invoke(Request $request, string $token, Invitations $invitations, Entrance $entrance): JsonResponse
    {
        // A link that no longer works is said before anybody is asked to type again.
        if ($invitations->open($token)->kind === InvitationKind::Password) {
            $user = $invitations->follow($token, '', '', app(NewPasswordRequest::class)->password());
        } else {
            $person = app(NewPersonRequest::class);
            $user = $invitations->follow($token, $person->name(), $person->email(), $person->password());
        }
        $entrance->letIn($request, $user);

        return new JsonResponse(WhoAmI::person($user), 201);
    }
}
