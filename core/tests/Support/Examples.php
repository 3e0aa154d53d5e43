<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\SlotLine;
use Gravik\Time\Meter;

/** Breakdowns to test with. Only what a test is about needs to be said. */
final class Examples
{
    /**
     * @param array<string, mixed> $fields in place of those of a plain two-bar tune
     *
     * @return array<string, mixed>
     */
    public static function document(array $fields = [], string $slots = 'x.xcx.xx', int $grid = 2): array
    {
        $meter = is_string($fields['meter'] ?? null) ? $fields['meter'] : '4/4';

        return $fields + [
            'format' => BreakdownJson::FORMAT,
            'version' => BreakdownJson::VERSION,
            'title' => 'Tide Table',
            'genre' => 'Test drive',
            'key' => 'D minor',
            'meter' => $meter,
            'tempo' => 120,
            'feel' => ['mode' => 'fixed', 'ratio' => 1, 'unit' => 'eighth'],
            'tuning' => 'standard',
            'capo' => 0,
            'company' => 'alone',
            'sections' => [['name' => 'A', 'line' => '| Dm | A7 |']],
            'pins' => [],
            'approaches' => [],
            'path' => ['window' => '0-15', 'strings' => '', 'keepTop' => false, 'bass' => 'free', 'parallel' => false, 'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1]],
            'pattern' => (new PatternJson())->write(self::pattern($slots, $meter, $grid)),
            'school' => 'pendulum',
            'band' => ['groove' => \Gravik\Band\Groove::defaultFor(Meter::parse($meter))->slug, 'parts' => []],
            'notes' => '',
        ];
    }

    /** @param array<string, mixed> $fields */
    public static function breakdown(array $fields = [], string $slots = 'x.xcx.xx', int $grid = 2): Breakdown
    {
        return (new BreakdownJson())->read(self::document($fields, $slots, $grid));
    }

    public static function pattern(string $slots, string $meter = '4/4', int $grid = 2): Pattern
    {
        return SlotLine::parse($slots, Meter::parse($meter), $grid);
    }

    /** @return array{mode: string, ratio: float, unit: string} */
    public static function swing(float $ratio, string $unit = 'eighth'): array
    {
        return ['mode' => 'fixed', 'ratio' => $ratio, 'unit' => $unit];
    }
}
