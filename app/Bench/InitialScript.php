<?php

declare(strict_types=1);

namespace App\Bench;

/** How much JavaScript a browser must fetch before the first screen: the entry and all it imports, gzipped. */
final readonly class InitialScript
{
    /** The first screen after signing in; it is fetched on its own, and counted with the entry. */
    private const FIRST_SCREENS = ['resources/js/main.tsx', 'resources/js/features/shelf/Shelf.tsx'];

    /** @return ?float kB, null where the front end is not built */
    public static function kilobytes(): ?float
    {
        $file = public_path('build/manifest.json');
        if (! is_file($file)) {
            return null;
        }
        /** @var array<string, array{file: string, imports?: list<string>}> $manifest */
        $manifest = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        $seen = [];
        $open = self::FIRST_SCREENS;
        while ($open !== []) {
            $name = array_pop($open);
            if (! isset($seen[$name])) {
                $seen[$name] = strlen((string) gzencode((string) file_get_contents(public_path('build/'.$manifest[$name]['file'])), 6));
                array_push($open, ...$manifest[$name]['imports'] ?? []);
            }
        }

        return array_sum($seen) / 1000;
    }
}
