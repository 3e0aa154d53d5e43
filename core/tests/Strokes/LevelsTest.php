<?php

declare(strict_types=1);

use Gravik\Strokes\Hand\Levels;
use Gravik\Tests\Support\Examples;

it('says at which levels nothing is left out that the next one still has', function (string $slots, int $grid, array $same): void {
    $pattern = Examples::pattern($slots, grid: $grid);
    $levels = new Levels();
    $struck = array_map(static fn (int $level): array => array_column($levels->thinned($pattern, $level)->strokes(), 'at'), [1, 2, 3]);

    expect($levels->sameAsAbove($pattern))->toBe($same)
        ->and(array_values(array_filter([1, 2], static fn (int $level): bool => $struck[$level - 1] === $struck[$level])))->toBe($same);
})->with([
    'beats alone are the same at all three' => ['x.x.x.x.', 2, [1, 2]],
    'eighths have all their off-beats at the second' => ['xxxxxxxx', 2, [2]],
    'sixteenths thin at every step' => ['xxxxxxxxxxxxxxxx', 4, []],
]);
