<?php

declare(strict_types=1);

use Gravik\Listening\Internal\SlotNames;
use Gravik\Tests\Support\Examples;

it('calls a slot as it is counted, with its bar where there are more', function (string $slots, string $meter, int $grid, array $names): void {
    $named = new SlotNames(Examples::pattern($slots, $meter, $grid));

    expect(array_map($named->of(...), array_keys($names)))->toBe(array_values($names));
})->with([
    'eighths' => ['xxxxxxxx', '4/4', 2, [0 => '1', 1 => '1&', 7 => '4&']],
    'two bars' => ['xxxxxxxxxxxx', '3/4', 2, [0 => 'bar 1, 1', 5 => 'bar 1, 3&', 6 => 'bar 2, 1', 11 => 'bar 2, 3&']],
    'sixteenths' => ['xxxxxxxx', '2/4', 4, [1 => '1e', 2 => '1&', 3 => '1a', 4 => '2']],
]);
