<?php

declare(strict_types=1);

namespace App\Http;

use App\Documents\IdTaken;
use App\Documents\StaleRevision;
use App\Http\Resources\BreakdownResource;
use App\Models\User;
use App\School\LinkNotOpen;
use App\School\SchoolNeedsOwner;
use Gravik\CoreException;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Throwable;

/** The one place that says which refusal becomes which answer: always JSON for the API, always a message for a person. */
final class RefusalAnswers
{
    private const SENTENCES = [
        400 => 'This request could not be understood. Reload the page and try again.',
        403 => 'This belongs to somebody else. Ask its owner to share it with you.',
        404 => 'This is not here any more, or was never yours. Go back to the shelf.',
        405 => 'This cannot be done here. Reload the page and try again.',
        413 => 'This is too large to be a breakdown.',
        419 => 'This page was open too long. Sign in again; your work is kept.',
        429 => 'Too many tries. Wait a minute, then try again.',
        500 => 'Something went wrong on our side. Your work is kept; try again in a moment.',
        503 => 'Gravik is being looked after right now. Try again in a minute; your work is kept.',
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([CoreException::class, StaleRevision::class, IdTaken::class, LinkNotOpen::class, SchoolNeedsOwner::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api', 'api/*') || $request->expectsJson());
        $exceptions->render(static fn (CoreException $refusal): JsonResponse => self::refused($refusal));
        $exceptions->render(static function (StaleRevision $refusal, Request $request): JsonResponse {
            $reader = $request->user();

            return self::answer(
                409,
                $refusal->getMessage(),
                $reader instanceof User ? ['saved' => BreakdownResource::full($refusal->saved, $reader)] : [],
            );
        });
        $exceptions->render(static fn (IdTaken $refusal): JsonResponse => self::answer(409, $refusal->getMessage()));
        $exceptions->render(static fn (LinkNotOpen $refusal): JsonResponse => self::answer(410, $refusal->getMessage()));
        $exceptions->render(static fn (SchoolNeedsOwner $refusal): JsonResponse => self::answer(409, $refusal->getMessage()));
        $exceptions->render(static fn (ValidationException $refusal, Request $request): ?JsonResponse => $request->is('api', 'api/*') ? self::shape($refusal) : null);
        $exceptions->render(static function (AuthenticationException $refusal, Request $request): ?JsonResponse {
            return $request->is('api', 'api/*') ? self::answer(401, 'You are signed out. Sign in again; your work is kept.') : null;
        });
        $exceptions->render(static function (AuthorizationException $refusal, Request $request): ?JsonResponse {
            $status = $refusal->status() ?? 403;

            return $request->is('api', 'api/*') ? self::answer($status, self::SENTENCES[$status] ?? self::SENTENCES[403]) : null;
        });
        $exceptions->render(static function (HttpExceptionInterface $refusal, Request $request): ?JsonResponse {
            $status = $refusal->getStatusCode();

            return $request->is('api', 'api/*') ? self::answer($status, self::sentence($refusal), [], $refusal->getHeaders()) : null;
        });
        $exceptions->render(static fn (Throwable $failure, Request $request): ?JsonResponse => $request->is('api', 'api/*') && config('app.debug') !== true ? self::answer(500, self::SENTENCES[500]) : null);
    }

    /** What the core refuses, with its place where it has one; a place in a document stands among the errors, as fields of a form do. */
    private static function refused(CoreException $refusal): JsonResponse
    {
        $at = $refusal->at();
        $errors = is_string($at) && $at !== '' ? [$at => [$refusal->getMessage()]] : [];

        return new JsonResponse(
            ['message' => $refusal->getMessage(), 'errors' => (object) $errors] + ($at === null ? [] : ['at' => $at]),
            422,
        );
    }

    /**
     * @param array<string, mixed>  $more
     * @param array<string, string> $headers
     */
    private static function answer(int $status, string $message, array $more = [], array $headers = []): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'errors' => (object) []] + $more, $status, $headers);
    }

    /** Which fields have not the shape they need; the first stands as the message. */
    private static function shape(ValidationException $refusal): JsonResponse
    {
        $errors = $refusal->errors();

        return new JsonResponse(['message' => array_values($errors)[0][0] ?? self::SENTENCES[400], 'errors' => $errors], $refusal->status);
    }

    /** Too many at once may say of what; everything else of the framework's is said in our words. */
    private static function sentence(HttpExceptionInterface $refusal): string
    {
        $status = $refusal->getStatusCode();

        return $refusal instanceof TooManyRequestsHttpException && $refusal->getMessage() !== ''
            ? $refusal->getMessage()
            : self::SENTENCES[$status] ?? self::SENTENCES[$status < 500 ? 400 : 500];
    }
}
