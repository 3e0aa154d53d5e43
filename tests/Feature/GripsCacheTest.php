<?php

declare(strict_types=1);

use App\Compute\GripsCache;
use Illuminate\Support\Facades\File;
use Symfony\Component\Finder\Finder;

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/gravik-grips-'.bin2hex(random_bytes(6));
    config(['cache.stores.grips' => ['driver' => 'file', 'path' => $this->folder]]);
    $this->kept = app(GripsCache::class);
});

afterEach(fn () => File::deleteDirectory($this->folder));

/** Makes what is kept under this key as old as that. */
function aged(GripsCache $kept, string $folder, string $key, int $seconds): void
{
    $before = iterator_to_array(Finder::create()->files()->in($folder));
    $kept->put($key, [[null, 5, 7, 7, 6, 5]]);
    foreach (array_diff_key(iterator_to_array(Finder::create()->files()->in($folder)), $before) as $file) {
        touch($file->getPathname(), time() - $seconds);
    }
}

it('takes away what has run out and leaves the rest', function (): void {
    mkdir($this->folder);
    aged($this->kept, $this->folder, 'old', 4000);
    aged($this->kept, $this->folder, 'young', 10);
    $this->kept->sweep();

    expect($this->kept->get('young'))->toBe([[null, 5, 7, 7, 6, 5]])->and($this->kept->get('old'))->toBeNull();
});

it('keeps no more than so many, the newest of them', function (): void {
    mkdir($this->folder);
    for ($number = 0; $number < GripsCache::MOST_KEPT; $number++) {
        touch("{$this->folder}/{$number}", time() - 100);
    }
    aged($this->kept, $this->folder, 'newest', 1);
    aged($this->kept, $this->folder, 'oldest', 200);
    $this->kept->sweep();

    expect(iterator_count(Finder::create()->files()->in($this->folder)))->toBe(GripsCache::MOST_KEPT)
        ->and($this->kept->get('newest'))->not->toBeNull()
        ->and($this->kept->get('oldest'))->toBeNull();
});
