<?php

declare(strict_types=1);

use Gravik\Neck\Line\PathWishes;

it('no longer asks for strings that another guitar lacks', function (string $asked, int $strings, string $left): void {
    expect((new PathWishes(strings: $asked))->onStrings($strings)->strings)->toBe($left);
})->with([
    'all of them' => ['', 4, ''],
    'a range that is there' => ['4-1', 6, '4-1'],
    'a range that is cut' => ['6-2', 4, '2,3,4'],
    'a list that is there' => ['5,3,1', 6, '5,3,1'],
    'a list that is cut' => ['6,4,2', 5, '4,2'],
    'none is left' => ['7,8', 6, ''],
]);
