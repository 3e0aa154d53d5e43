<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Http\Controllers\Controller;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class SignOut extends Controller
{
    #[OA\Delete(path: '/api/session', summary: 'Sign out', responses: [new OA\Response(response: 204, description: 'signed out')])]
    public function __invoke(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response('', 204);
    }
}
