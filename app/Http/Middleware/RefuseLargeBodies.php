<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses bodies that no breakdown, MIDI file or take can have, before anything reads them, and says which it took it for. */
final class RefuseLargeBodies
{
    private const MEGABYTE = 1024 * 1024;

    private const MOST = 5;

    private const MOST_OF_SOUND = 250;

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $megabytes = (int) $request->headers->get('Content-Length', '0') / self::MEGABYTE;
        $type = strtolower((string) $request->headers->get('Content-Type'));
        $refusal = match (true) {
            str_contains($type, 'midi') => $megabytes > self::MOST
                ? 'This MIDI file has %.1f MB; up to '.self::MOST.' MB are read. Choose the one with the guitar alone.'
                : null,
            str_starts_with($type, 'audio/')
                || str_starts_with($type, 'video/')
                || $type === 'application/octet-stream' => $megabytes > self::MOST_OF_SOUND
                ? 'This recording has %.0f MB; up to '.self::MOST_OF_SOUND.' MB are heard. Cut it to the bars you played, or record in mono.' : null,
            default => $megabytes > self::MOST
                ? 'This is %.1f MB, and a breakdown is never over '.self::MOST.' MB. Choose a .gravik.json file that Gravik exported.'
                : null,
        };

        return $refusal === null
            ? $next($request)
            : new JsonResponse(['message' => sprintf($refusal, $megabytes), 'errors' => (object) []], 413);
    }
}
