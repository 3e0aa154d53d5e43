<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/** Tells the browser what a page of Gravik may do: its own scripts, its own microphone, inside no other page. */
final class GuardHeaders
{
    /**
     * Ant Design writes some of its styles into the page, so those alone may stand there. Sounds are decoded from blobs, and
     * the clock of the band runs in a worker made from one.
     */
    private const CONTENT = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
        ."img-src 'self' data: blob:; font-src 'self' data:; "
        ."media-src 'self' blob:; worker-src 'self' blob:; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            // The development server of the front end writes scripts into the page.
            ...(Vite::isRunningHot() ? [] : ['Content-Security-Policy' => self::CONTENT]),
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'microphone=(self), camera=(), geolocation=(), payment=(), usb=()',
        ]);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }

        return $response;
    }
}
