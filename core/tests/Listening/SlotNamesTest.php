<?php

declare(strict_types=1);

use Gravik\Listening\Lock\Internal\SlotNames;
use Gravik\Performance\HandInUse;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\NamedPattern;
use Gravik\Tests\Support\Examples;
use Gravik\Time\SwingUnit;

function inHand(string $slots, string $meter, int $grid, int $firstSlot, string $name = ''): HandInUse
{
    $pattern = Examples::pattern($slots, $meter, $grid);

    return new HandInUse(new NamedPattern('p', $name, $pattern), new HandPlan($pattern, [], []), $firstSlot);
}

it('calls a slot as it is counted, with its bar where there are more', function (string $slots, string $meter, int $grid, array $names): void {
    $named = new SlotNames([inHand($slots, $meter, $grid, 0)]);

    expect(array_map($named->of(...), array_keys($names)))->toBe(array_values($names));
})->with([
    'eighths' => ['xxxxxxxx', '4/4', 2, [0 => '1', 1 => '1&', 7 => '4&']],
    'two bars' => ['xxxxxxxxxxxx', '3/4', 2, [0 => 'bar 1, 1', 5 => 'bar 1, 3&', 6 => 'bar 2, 1', 11 => 'bar 2, 3&']],
    'sixteenths' => ['xxxxxxxx', '2/4', 4, [1 => '1e', 2 => '1&', 3 => '1a', 4 => '2']],
]);

it('counts the slots of several patterns through, and says which pattern one is of', function (): void {
    $named = new SlotNames([inHand('xxxx', '4/4', 1, 0, 'verse'), inHand('xxxxxx', '3/4', 2, 4, 'waltz')]);

    expect(array_map($named->of(...), [0, 3, 4, 5]))->toBe(['verse 1', 'verse 4', 'waltz 1', 'waltz 1&'])
        ->and(array_map(
            static fn (int $slot): bool => $named->isOffBeat($slot, SwingUnit::Eighth),
            [0, 3, 4, 5],
        ))->toBe([false, false, false, true]);
});
