<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Controllers\Session\WhoAmI;
use App\Http\Requests\NewPersonRequest;
use App\Models\Role;
use App\Models\User;
use App\School\Entrance;
use App\School\LinkNotOpen;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

final class BeginSchool extends Controller
{
    #[OA\Post(path: '/api/start', summary: 'The first person makes the owner’s account',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPerson')),
        responses: [
            new OA\Response(response: 201, description: 'signed in', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
        ])]
    public function __invoke(NewPersonRequest $request, Entrance $entrance): JsonResponse
    {
        $owner = DB::transaction(static function () use ($request): User {
            ! User::query()->exists() || throw LinkNotOpen::begun();

            return User::query()->create([
                'name' => $request->name(),
                'email' => $request->email(),
                'password' => $request->password(),
                'role' => Role::Teacher,
                'owner' => true,
            ]);
        });
        $entrance->letIn($request, $owner);

        return new JsonResponse(WhoAmI::person($owner), 201);
    }
}
