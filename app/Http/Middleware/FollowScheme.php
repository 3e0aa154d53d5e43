<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Cookies are for https alone where the page came by https, unless the configuration says otherwise. */
final class FollowScheme
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        config(['session.secure' => config('session.always_secure') === true || $request->isSecure()]);

        return $next($request);
    }
}
