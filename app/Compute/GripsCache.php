<?php

declare(strict_types=1);

namespace App\Compute;

use Illuminate\Contracts\Cache\Factory;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\File;
use Symfony\Component\Finder\Finder;

/**
 * Grips kept for an hour in a store of their own. Laravel leaves in a file store whatever nobody asks for again: the store is
 * swept now and then, so that a school's year of editing fills no disk.
 */
final readonly class GripsCache
{
    public const MOST_KEPT = 4000;

    private const SECONDS = 3600;

    /** One put of so many sweeps. */
    private const SWEEP_EVERY = 200;

    private Repository $store;

    public function __construct(Factory $stores)
    {
        $this->store = $stores->store('grips');
    }

    /** @return ?list<list<int|null>> frets of each chord's grip */
    public function get(string $key): ?array
    {
        $known = $this->store->get($key);

        return is_array($known) ? array_values($known) : null;
    }

    /** @param list<list<int|null>> $frets */
    public function put(string $key, array $frets): void
    {
        $this->store->put($key, $frets, self::SECONDS);
        if (random_int(1, self::SWEEP_EVERY) === 1) {
            $this->sweep();
        }
    }

    /** Takes away what has run out, and the oldest beyond MOST_KEPT. */
    public function sweep(): void
    {
        $folder = config('cache.stores.grips.path');
        if (! is_string($folder) || ! is_dir($folder)) {
            return;
        }
        $oldest = now()->subSeconds(self::SECONDS)->getTimestamp();
        $written = [];
        foreach (Finder::create()->files()->in($folder) as $path => $file) {
            // Another worker may sweep at the same time: what is gone by now counts as old.
            $written[$path] = (int) @filemtime($path);
        }
        arsort($written);
        $beyond = array_slice($written, self::MOST_KEPT, preserve_keys: true);
        File::delete(array_keys($beyond + array_filter($written, static fn (int $at): bool => $at < $oldest)));
    }
}
