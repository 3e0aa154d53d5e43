<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Http\Controllers\Controller;
use App\Http\SignInGuard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class SignIn extends Controller
{
    #[OA\Post(path: '/api/session', summary: 'Sign in', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'who is signed in', content: new OA\JsonContent(ref: '#/components/schemas/Person'))])]
    public function __invoke(Request $request, SignInGuard $guard): JsonResponse
    {
        $credentials = $request->validate(['email' => ['required', 'string', 'max:160'], 'password' => ['required', 'string', 'max:200']], [
            'email.required' => 'Type the e-mail address you sign in with.',
            'password.required' => 'Type your password.',
        ]);
        $guard->check($request);
        if (! Auth::attempt($credentials)) {
            $guard->countWrong($request);

            return new JsonResponse(['message' => 'This address and password do not belong together. Check both and try again.', 'errors' => (object) []], 422);
        }
        $request->session()->regenerate();

        return new JsonResponse(WhoAmI::person($this->user($request)));
    }
}
