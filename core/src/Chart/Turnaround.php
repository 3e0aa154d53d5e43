<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\TurnaroundUnknown;
use Gravik\Harmony\Key;
use Gravik\Harmony\Numeral;
use Gravik\Words;

/** Last bars that lead back to the top, or home: written out in a key. */
final readonly class Turnaround
{
    /**
     * @param string $why  what it does
     * @param string $back line that ends on V
     * @param string $home line that ends on I
     */
    private function __construct(public string $slug, public string $name, public string $why, public string $back, public string $home) {}

    /** @return list<self> */
    public static function in(Key $key): array
    {
        /** @var array<string, array{string, string, array<string, array{string, string}>}> $table */
        $table = require __DIR__.'/Data/turnarounds.php';
        $numerals = Numeral::in($key);
        $letters = static fn (string $line): string => implode(' ', array_map(
            static fn (string $word): string => $word === '|' ? $word : $numerals->chord($word)->text(),
            Words::of($line),
        ));

        return array_map(
            static fn (string $slug, array $row): self => new self(
                $slug,
                $row[0],
                $row[1],
                ...array_map($letters, $row[2][$key->mode->value]),
            ),
            array_keys($table),
            $table,
        );
    }

    /** @throws ChartException where there is none called so */
    public static function named(string $slug, Key $key): self
    {
        return array_values(array_filter(self::in($key), static fn (self $each): bool => $each->slug === $slug))[0]
            ?? throw new TurnaroundUnknown($slug);
    }

    public function line(bool $home): string
    {
        return $home ? $this->home : $this->back;
    }
}
