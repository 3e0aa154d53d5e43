<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\Repository;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Lets one person have one recording heard at a time, so that others are not kept waiting, and says how far it is. */
final readonly class Hearings
{
    /** Ten minutes of sound take half a minute here, and three times that on a slow machine. */
    private const MOST_SECONDS = 300;

    public function __construct(private Repository $cache) {}

    /**
     * @template T
     *
     * @param Closure(): T $hear
     *
     * @return T
     *
     * @throws TooManyRequestsHttpException while another recording of theirs is being heard
     */
    public function of(User $user, Closure $hear): mixed
    {
        $locks = $this->cache->getStore();
        $lock = $locks instanceof LockProvider ? $locks->lock('hearing:'.$user->id, self::MOST_SECONDS) : null;
        if ($lock?->get() === false) {
            throw new TooManyRequestsHttpException(
                5,
                'Your last recording is still being heard. Wait until it is done, then send this one again.',
            );
        }
        set_time_limit(self::MOST_SECONDS);
        try {
            return $hear();
        } finally {
            $this->cache->forget(self::place($user));
            $lock?->release();
        }
    }

    /** @param float $done share of the recording, 0 to 1 */
    public function note(User $user, float $done): void
    {
        $this->cache->put(self::place($user), round($done, 3), self::MOST_SECONDS);
    }

    /** How much of this person's recording is heard, 0 to 1; null where none is being heard. */
    public function progress(User $user): ?float
    {
        $done = $this->cache->get(self::place($user));

        return is_numeric($done) ? (float) $done : null;
    }

    private static function place(User $user): string
    {
        return "hearing-progress:{$user->id}";
    }
}
