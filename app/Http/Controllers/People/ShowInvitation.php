<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\InvitationKind;
use App\School\Invitations;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowInvitation extends Controller
{
    #[OA\Get(path: '/api/join/{token}', summary: 'Who invites, and to what', parameters: [
        new OA\PathParameter(name: 'token', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the link works', content: new OA\JsonContent(
        required: ['kind', 'by', 'group', 'name'],
        properties: [
            new OA\Property(property: 'kind', type: 'string', enum: InvitationKind::class),
            new OA\Property(property: 'by', type: 'string'),
            new OA\Property(property: 'group', type: 'string', nullable: true),
            new OA\Property(property: 'name', type: 'string'),
        ],
    ))])]
    public function __invoke(string $token, Invitations $invitations): JsonResponse
    {
        $invitation = $invitations->open($token);

        return new JsonResponse([
            'kind' => $invitation->kind->value,
            'by' => $invitation->maker->name,
            'group' => $invitation->group?->name,
            'name' => $invitation->person->name ?? $invitation->name,
        ]);
    }
}
