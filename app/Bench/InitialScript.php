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
        $sizes = [];
        foreach (self::FIRST_SCREENS as $name) {
            $sizes = self::withImports($name, $manifest, $sizes);
        }

        return array_sum($sizes) / 1000;
    }

    /**
     * @param array<string, array{file: string, imports?: list<string>}> $manifest
     * @param array<string, int>                                         $sizes    bytes of each chunk seen so far
     *
     * @return array<string, int>
     */
    private static function withImports(string $name, array $manifest, array $sizes): array
    {
        if (isset($sizes[$name])) {
            return $sizes;
        }
        $sizes[$name] = strlen((string) gzencode((string) file_get_contents(public_path('build/'.$manifest[$name]['file'])), 6));
        foreach ($manifest[$name]['imports'] ?? [] as $import) {
            $sizes = self::withImports($import, $manifest, $sizes);
        }

        return $sizes;
    }
}
