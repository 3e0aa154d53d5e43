<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Controllers\Session\WhoAmI;
use App\Http\Requests\AccountRequest;
use App\Http\SignInGuard;
use App\Models\Record;
use App\Models\RecordKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class ChangeAccount extends Controller
{
    #[OA\Put(path: '/api/account', summary: 'Change one’s name, address or password', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['current'], properties: [
            new OA\Property(property: 'current', description: 'the password of today', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
        ]),
    ), responses: [
        new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
    ])]
    public function __invoke(AccountRequest $request, SignInGuard $guard): JsonResponse
    {
        $user = $this->user($request);
        $changes = $request->changes();
        $user->update($changes);
        Record::note($user, RecordKind::ChangedAccount, implode(', ', array_keys($changes)));
        if (isset($changes['password'])) {
            // Whoever knew the old one is out; this browser stays in.
            Auth::logoutOtherDevices($changes['password']);
            $guard->remember($request, $user);
        }

        return new JsonResponse(WhoAmI::person($user));
    }
}
