<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\Key;
use Gravik\Harmony\Numeral;
use Gravik\Words;

/** A form that many tunes have, written out in a key: something to start from. */
final readonly class UsualForm
{
    /** @param non-empty-list<Section> $sections with chords in letters */
    private function __construct(public string $slug, public string $name, public array $sections) {}

    /** @return list<self> */
    public static function in(Key $key): array
    {
        /** @var array<string, array{string, array<string, non-empty-list<array{string, string}>>}> $table */
        $table = require __DIR__.'/Data/forms.php';
        $numerals = Numeral::in($key);
        $letters = static fn (string $line): string => implode(' ', array_map(
            static fn (string $word): string => $word === '|' ? $word : $numerals->chord($word)->text(),
            Words::of($line),
        ));
        $forms = [];
        foreach ($table as $slug => [$name, $byMode]) {
            $forms[] = new self($slug, $name, array_map(static fn (array $section, int $place): Section => new Section(
                's'.($place + 1),
                $section[0],
                $letters($section[1]),
            ),
                $byMode[$key->mode->value], array_keys($byMode[$key->mode->value])));
        }

        return $forms;
    }
}
