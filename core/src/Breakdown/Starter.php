<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Groove;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Time\Tempo;

/** What a plain genre word means for a new breakdown: a pattern with its meter, feel and school, a groove and a tempo. */
final readonly class Starter
{
    private function __construct(
        public string $slug,
        public string $word,
        public LibraryPattern $pattern,
        public Groove $groove,
        public Tempo $tempo,
    ) {}

    /** @return list<self> */
    public static function all(): array
    {
        /** @var array<string, array{string, string, string, int}> $table */
        $table = require __DIR__.'/Data/starters.php';
        $patterns = array_column(
            array_map(
                static fn (LibraryPattern $pattern): array => ['slug' => $pattern->slug, 'pattern' => $pattern],
                PatternLibrary::all(),
            ),
            'pattern',
            'slug',
        );

        return array_map(
            static fn (string $slug, array $row): self => new self(
                $slug,
                $row[0],
                $patterns[$row[1]],
                Groove::named($row[2]),
                new Tempo((float) $row[3]),
            ),
            array_keys($table),
            $table,
        );
    }
}
