<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses bodies that no breakdown or take can have, before anything reads them. */
final class RefuseLargeBodies
{
    private const MOST_BYTES = 5 * 1024 * 1024;

    private const MOST_SOUND_BYTES = 250 * 1024 * 1024;

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $bytes = (int) $request->headers->get('Content-Length', '0');
        if ($request->headers->get('Content-Type') === 'audio/wav') {
            return $bytes <= self::MOST_SOUND_BYTES ? $next($request) : new JsonResponse(['message' => sprintf(
                'This recording has %.0f MB; up to 250 MB are heard. Cut it to the bars you played, or record in mono.', $bytes / 1024 / 1024,
            ), 'errors' => (object) []], 413);
        }
        if ($bytes > self::MOST_BYTES) {
            return new JsonResponse(['message' => sprintf(
                'This is %.1f MB, and a breakdown is never over 5 MB. Choose a .gravik.json file that Gravik exported.', $bytes / 1024 / 1024,
            ), 'errors' => (object) []], 413);
        }

        return $next($request);
    }
}
