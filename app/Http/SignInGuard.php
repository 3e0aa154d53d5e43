<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Cookie\CookieJar;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Slows down who guesses passwords, without locking anybody out. Slips are counted by account and machine together: a
 * class behind one address does not wait for one pupil's slips, and nobody waits for a stranger's guesses. Guesses from
 * many machines at one account make new machines wait, never one that has signed in there before.
 */
final readonly class SignInGuard
{
    private const FREE_TRIES = 6;

    private const FREE_TRIES_FROM_ANYWHERE = 60;

    private const FIRST_WAIT_SECONDS = 30;

    private const LONGEST_WAIT_SECONDS = 900;

    private const FORGOTTEN_AFTER_SECONDS = 3600;

    private const COOKIE = 'gravik_known';

    private const KNOWN_MINUTES = 60 * 24 * 180;

    public function __construct(private RateLimiter $limiter, private CookieJar $cookies) {}

    /** @throws TooManyRequestsHttpException with the wait that is left */
    public function check(Request $request, string $email, ?User $user): void
    {
        foreach (array_keys($this->limits($request, $email, $user)) as $key) {
            $left = $this->limiter->tooManyAttempts("{$key}:wait", 1) ? $this->limiter->availableIn("{$key}:wait") : 0;
            if ($left > 0) {
                throw new TooManyRequestsHttpException(
                    $left,
                    sprintf(
                        'Too many wrong passwords for this address. Wait %s, then try again.',
                        $left > 90 ? sprintf('%d minutes', (int) ceil($left / 60)) : sprintf('%d seconds', $left),
                    ),
                );
            }
        }
    }

    public function countWrong(Request $request, string $email, ?User $user): void
    {
        foreach ($this->limits($request, $email, $user) as $key => $free) {
            $wrong = $this->limiter->hit($key, self::FORGOTTEN_AFTER_SECONDS);
            if ($wrong >= $free) {
                // Each further slip doubles the wait.
                $wait = min(self::LONGEST_WAIT_SECONDS, self::FIRST_WAIT_SECONDS * 2 ** min(10, $wrong - $free));
                $this->limiter->clear("{$key}:wait");
                $this->limiter->hit("{$key}:wait", $wait);
            }
        }
    }

    /** The right password clears this machine's slips, and makes the machine known for this account. */
    public function remember(Request $request, User $user): void
    {
        foreach ([self::fromHere($request, $user->email), self::fromKnown($user)] as $key) {
            $this->limiter->clear($key);
            $this->limiter->clear("{$key}:wait");
        }
        $this->cookies->queue(self::COOKIE, self::mark($user), self::KNOWN_MINUTES, null, null, $request->isSecure(), true, false, 'lax');
    }

    /** @return array<string, int> key => tries before there is a wait */
    private function limits(Request $request, string $email, ?User $user): array
    {
        if ($user !== null && self::isKnown($request, $user)) {
            return [self::fromKnown($user) => self::FREE_TRIES];
        }

        return [self::fromHere($request, $email) => self::FREE_TRIES, 'sign-in:'.hash('xxh128', $email) => self::FREE_TRIES_FROM_ANYWHERE];
    }

    private static function fromHere(Request $request, string $email): string
    {
        return 'sign-in:'.hash('xxh128', $email.'|'.$request->ip());
    }

    private static function fromKnown(User $user): string
    {
        return "sign-in:known:{$user->id}";
    }

    private static function isKnown(Request $request, User $user): bool
    {
        $mark = $request->cookie(self::COOKIE);

        return is_string($mark) && hash_equals(self::mark($user), $mark);
    }

    /** Worth nothing any more once the password is another. */
    private static function mark(User $user): string
    {
        return hash('sha256', $user->id.'|'.$user->password);
    }
}
