<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Counts wrong passwords, for one address and for one machine that tries many; the right one is never held up by its own use. */
final readonly class SignInGuard
{
    private const TRIES_FOR_AN_ADDRESS = 6;

    private const TRIES_FROM_A_MACHINE = 30;

    private const SECONDS = 60;

    public function __construct(private RateLimiter $limiter) {}

    /** @throws TooManyRequestsHttpException */
    public function check(Request $request): void
    {
        foreach (self::limits($request) as $key => $most) {
            if ($this->limiter->tooManyAttempts($key, $most)) {
                throw new TooManyRequestsHttpException(self::SECONDS);
            }
        }
    }

    public function countWrong(Request $request): void
    {
        foreach (array_keys(self::limits($request)) as $key) {
            $this->limiter->hit($key, self::SECONDS);
        }
    }

    /** @return array<string, int> key => most tries */
    private static function limits(Request $request): array
    {
        $machine = (string) $request->ip();

        return [
            'sign-in:'.hash('xxh128', mb_strtolower($request->string('email')->toString()).'|'.$machine) => self::TRIES_FOR_AN_ADDRESS,
            'sign-in:'.$machine => self::TRIES_FROM_A_MACHINE,
        ];
    }
}
