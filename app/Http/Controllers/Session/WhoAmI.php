<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Http\Controllers\Controller;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NeckView', required: ['left_handed', 'high_on_top'], properties: [
    new OA\Property(property: 'left_handed', type: 'boolean', description: 'the nut is drawn at the right'),
    new OA\Property(property: 'high_on_top', type: 'boolean', description: 'the highest string is drawn on top'),
])]
#[OA\Schema(schema: 'Person', required: ['id', 'name', 'email', 'role', 'owner', 'neck', 'keeps_sound', 'hand'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'keeps_sound', description: 'with the takes', type: 'boolean'),
    new OA\Property(property: 'hand', description: 'what it can do', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: Role::class),
    new OA\Property(property: 'owner', description: 'of the school', type: 'boolean'),
    new OA\Property(property: 'neck', ref: '#/components/schemas/NeckView'),
])]
final class WhoAmI extends Controller
{
    #[OA\Get(
        path: '/api/session',
        summary: 'Who is signed in',
        responses: [new OA\Response(
            response: 200,
            description: 'the person',
            content: new OA\JsonContent(ref: '#/components/schemas/Person'),
        )],
    )]
    public function __invoke(Request $request): JsonResponse
    {
        return new JsonResponse(self::person($this->user($request)));
    }

    /**
     * @return array{
     *     id: int, keeps_sound: bool, hand: string, name: string, email: string, role: string, owner: bool,
     *     neck: array{left_handed: bool, high_on_top: bool}
     * }
     */
    public static function person(User $user): array
    {
        return [
            'id' => $user->id,
            'keeps_sound' => $user->keeps_sound,
            'hand' => $user->hand,
            'name' => $user->name,
            'email' => $user->email,
            'role' => $user->role->value,
            'owner' => $user->owner,
            'neck' => ['left_handed' => $user->left_handed, 'high_on_top' => $user->high_on_top],
        ];
    }
}
