<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Requests\InvitationRequest;
use App\Models\Group;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\User;
use App\School\InvitationMail;
use App\School\Invitations;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Invitation', required: ['id', 'kind', 'name', 'group', 'expires_at'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: InvitationKind::class),
    new OA\Property(property: 'name', description: 'of who is meant, as the teacher knows them', type: 'string'),
    new OA\Property(property: 'group', description: 'name of the class they join', type: 'string', nullable: true),
    new OA\Property(property: 'expires_at', type: 'string'),
])]
final class MakeInvitation extends Controller
{
    #[OA\Post(path: '/api/invitations', summary: 'A link that works once and for seven days',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['kind'], properties: [
            new OA\Property(property: 'kind', type: 'string', enum: InvitationKind::class),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', description: 'to which the link is sent where this school has mail', type: 'string', nullable: true),
            new OA\Property(property: 'group', description: 'they join', type: 'string', nullable: true),
            new OA\Property(property: 'person', description: 'whose password is set anew', type: 'integer', nullable: true),
        ])), responses: [new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(
            required: ['invitation', 'path', 'mailed'],
            properties: [
                new OA\Property(property: 'invitation', ref: '#/components/schemas/Invitation'),
                new OA\Property(property: 'path', description: 'to be passed on; it is shown once', type: 'string'),
                new OA\Property(
                    property: 'mailed',
                    description: 'whether it is on its way to the address; null where none was told',
                    type: 'boolean',
                    nullable: true,
                ),
            ],
        ))])]
    public function __invoke(InvitationRequest $request, Invitations $invitations, InvitationMail $mail): JsonResponse
    {
        $by = $this->user($request);
        $kind = $request->kind();
        $this->authorize('make', [Invitation::class, $kind]);
        $group = $request->filled('group') ? Group::query()->findOrFail($request->string('group')->toString()) : null;
        if ($group !== null) {
            $this->authorize('own', $group);
        }
        $for = $kind === InvitationKind::Password ? self::resettable($by, $request->integer('person')) : null;
        [$invitation, $token] = $invitations->make($by, $kind, trim($request->string('name')->toString()), $group, $for);

        $path = "/join/{$token}";
        $to = $request->string('email')->toString();
        $mailed = $to === '' ? null : $mail->send($by, $invitation, $path, $to);

        return new JsonResponse(['invitation' => self::told($invitation), 'path' => $path, 'mailed' => $mailed], 201);
    }

    /** @return array<string, mixed> */
    public static function told(Invitation $invitation): array
    {
        return [
            'id' => $invitation->id,
            'kind' => $invitation->kind->value,
            'name' => $invitation->person->name ?? $invitation->name,
            'group' => $invitation->group?->name,
            'expires_at' => $invitation->expires_at->toIso8601String(),
        ];
    }

    /** A teacher helps their students, the owner everybody. */
    private static function resettable(User $by, int $person): User
    {
        return $by->owner ? User::query()->findOrFail($person) : User::taughtBy($by)->findOrFail($person);
    }
}
