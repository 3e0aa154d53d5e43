<?php

declare(strict_types=1);

namespace App\Bench;

/** Median and worst of 20 runs after 3 that do not count. */
final readonly class Stopwatch
{
    private const WARM_UPS = 3;

    private const RUNS = 20;

    private function __construct(public float $medianMs, public float $worstMs) {}

    /** @param callable(): mixed $work */
    public static function of(callable $work): self
    {
        $times = [];
        for ($run = -self::WARM_UPS; $run < self::RUNS; $run++) {
            $start = hrtime(true);
            $work();
            if ($run >= 0) {
                $times[] = (hrtime(true) - $start) / 1e6;
            }
        }
        sort($times);

        return new self(($times[9] + $times[10]) / 2, $times[self::RUNS - 1]);
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    public function row(string $what, string $asked): array
    {
        return [
            'what' => $what,
            'median' => round($this->medianMs, 2),
            'worst' => round($this->worstMs, 2),
            'unit' => 'ms',
            'asked' => $asked,
        ];
    }
}
