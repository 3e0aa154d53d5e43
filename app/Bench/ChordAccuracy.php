<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Breakdown\Breakdown;

/** How well the chords of comping are heard that the ear was not set by. */
final readonly class ChordAccuracy
{
    private const TAKES = 12;

    public function __construct(private Breakdown $model) {}

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        $material = new ChordMaterial($this->model);
        $report = new ChordReport();
        $sums = ['rooted' => [], 'rootless' => []];
        for ($number = 1; $number <= self::TAKES; $number++) {
            $take = $material->take('unseen', $number);
            $path = (string) tempnam(sys_get_temp_dir(), 'gravik-bench-');
            file_put_contents($path, $take['wav']);
            $sums[$take['truth']['rootless'] ? 'rootless' : 'rooted'][] = $report->of($path, $take['truth'], $take['truth']['rootless']);
            unlink($path);
        }
        $all = [...$sums['rooted'], ...$sums['rootless']];

        return [
            self::row('chords heard, bars right, no key known', $sums['rooted'], 'right', 'bars', 'at least 85 %'),
            self::row('chords without a root, bars right, the key known', $sums['rootless'], 'right', 'bars', 'at least 70 %'),
            self::row('chords told as sure, right', $all, 'sure_right', 'sure', ''),
            self::row('grips heard, all strings right', $all, 'grips', 'bars', ''),
        ];
    }

    /**
     * @param list<array<string, int>> $sums
     *
     * @return array{what: string, median: float, worst: ?float, unit: string, asked: string}
     */
    private static function row(string $what, array $sums, string $right, string $of, string $asked): array
    {
        $share = 100 * array_sum(array_column($sums, $right)) / max(1, array_sum(array_column($sums, $of)));

        return ['what' => $what, 'median' => round($share, 1), 'worst' => null, 'unit' => '%', 'asked' => $asked];
    }
}
