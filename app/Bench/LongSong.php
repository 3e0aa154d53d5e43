<?php

declare(strict_types=1);

namespace App\Bench;

use Database\Seeders\DemoBreakdowns;
use Gravik\Formats\BreakdownJson;

/** 64 bars of a whole song: four sections of eight bars, two passes, two patterns, two ways on the neck. */
final readonly class LongSong
{
    private const SECTIONS = [
        '| Dm6 | B♭7 | Gm7 A7 | Dm6 | Gm7 C9 | F6 D7♭9 | Gm7 A7 | Dm6 A7♭9 |',
        '| Gm7 | C9 | F6 | % | Em7♭5 A7♭9 | % | Dm6 | A7♭9 |',
        '| D7 | % | G7 | % | C7 | % | F7 | A7♭9 |',
        '| Dm6 | B♭7 | Gm7 A7 | Dm6 | B♭7 | A7 | Dm6 Gm7 | Dm6 |',
    ];

    private const LEVELS = [3, 2, 1];

    /**
     * @param int $changes how many cells were changed one after another; each time another level, pattern or line in another section
     *
     * @return array<string, mixed> a document
     */
    public static function document(int $changes = 0): array
    {
        $demo = (new BreakdownJson())->write(DemoBreakdowns::all()[0]);
        $sections = array_map(
            static fn (int $number): array => ['id' => "s{$number}", 'name' => "{$number}", 'line' => self::SECTIONS[$number]],
            array_keys(self::SECTIONS),
        );
        $cells = array_map(static fn (array $section, int $number): array => [
            'part' => 'guitar',
            'section' => $section['id'],
            'pattern' => self::turn($changes, 3 * $number) % 2 === 0 ? 'p1' : 'busier',
            'line' => self::turn($changes, 3 * $number + 1) % 2 === 0 ? 'l1' : 'high',
            'level' => self::LEVELS[self::turn($changes, 3 * $number + 2) % 3],
        ], $sections, array_keys($sections));

        return [
            'sections' => $sections,
            'form' => array_map(static fn (array $section): array => ['section' => $section['id'], 'times' => 1], $sections),
            'patterns' => [
                ['id' => 'p1'] + $demo['patterns'][0],
                ['id' => 'busier', 'name' => 'busier', 'school' => 'all-down'] + $demo['patterns'][0],
            ],
            'lines' => [
                ['id' => 'l1', 'pins' => []] + $demo['lines'][0],
                ['id' => 'high', 'name' => 'high', 'pins' => [], 'wishes' => ['window' => '5-15'] + $demo['lines'][0]['wishes']]
                    + $demo['lines'][0],
            ],
            'placed' => [],
            'passes' => [
                ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
                ['id' => '2', 'name' => '', 'notes' => '', 'cells' => $cells],
            ],
        ] + $demo;
    }

    /** How often the field at this place of twelve has changed, where change after change goes round them all. */
    private static function turn(int $changes, int $place): int
    {
        return intdiv($changes + 11 - $place, 12);
    }
}
