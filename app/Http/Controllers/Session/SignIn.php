<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Http\Controllers\Controller;
use App\Http\Requests\SignInRequest;
use App\Http\SignInGuard;
use App\Models\User;
use App\School\Entrance;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class SignIn extends Controller
{
    #[OA\Post(path: '/api/session', summary: 'Sign in',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [
        new OA\Property(property: 'email', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'who is signed in',
        content: new OA\JsonContent(ref: '#/components/schemas/Person'),
    )])]
    public function __invoke(SignInRequest $request, SignInGuard $guard, Entrance $entrance): JsonResponse
    {
        $email = $request->email();
        $user = User::query()->where('email', $email)->first();
        $guard->check($request, $email, $user);
        // A password is checked whether somebody has this address or not, so that the time taken tells nothing.
        $right = Hash::check($request->password(), $user->password ?? self::nobodys());
        if ($user === null || ! $right) {
            $guard->countWrong($request, $email, $user);

            return new JsonResponse(
                ['message' => 'This address and password do not belong together. Check both and try again.', 'errors' => (object) []],
                422,
            );
        }
        if (Hash::needsRehash($user->password)) {
            $user->update(['password' => $request->password()]);
        }
        $entrance->letIn($request, $user);

        return new JsonResponse(WhoAmI::person($user));
    }

    /** A hash of a password that nobody has, as dear to check as anybody's. */
    private static function nobodys(): string
    {
        return Cache::rememberForever(
            'sign-in:nobody:'.config('hashing.bcrypt.rounds'),
            static fn (): string => Hash::make(Str::random(40)),
        );
    }
}
