<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Requests\AccountRequest;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class SignOutEverywhere extends Controller
{
    #[OA\Post(path: '/api/account/sign-out-everywhere', summary: 'Sign out on every other device', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['current'], properties: [new OA\Property(property: 'current', type: 'string')]),
    ), responses: [new OA\Response(response: 204, description: 'only this browser is signed in')])]
    public function __invoke(AccountRequest $request): Response
    {
        Auth::logoutOtherDevices($request->string('current')->toString());

        return new Response('', 204);
    }
}
