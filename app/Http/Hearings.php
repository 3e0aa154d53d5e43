<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\Repository;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Lets one person have one recording heard at a time at once, so that others are not kept waiting. */
final readonly class Hearings
{
    /** What is heard at once is short. */
    private const MOST_SECONDS = 60;

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
            $lock?->release();
        }
    }
}
