<?php

declare(strict_types=1);

use Gravik\Strokes\Counting;
use Gravik\Time\Meter;
use Gravik\Time\TimeException;

it('knows its bar and its beat', function (string $typed, int $barTicks, int $beats, int $beatTicks, float $quarters): void {
    $meter = Meter::parse($typed);

    expect([
        $meter->barTicks(),
        $meter->beats(),
        $meter->beatTicks(),
        $meter->quartersPerBeat(),
    ])->toBe([$barTicks, $beats, $beatTicks, $quarters]);
})->with([
    ['2/4', 1920, 2, 960, 1.0], ['3/4', 2880, 3, 960, 1.0], ['4/4', 3840, 4, 960, 1.0], ['5/4', 4800, 5, 960, 1.0],
    ['6/8', 2880, 2, 1440, 1.5], ['7/8', 3360, 7, 480, 0.5], ['9/8', 4320, 3, 1440, 1.5], ['12/8', 5760, 4, 1440, 1.5],
]);

it('refuses a meter nobody counts and lists those we have', function (string $typed): void {
    Meter::parse($typed);
})->with(['4/3', '0/4', 'waltz', '', '13/8'])->throws(TimeException::class, 'Choose one of 2/4');

it('weighs the places of a bar: the bar line most, each division one less', function (string $meter, int $slotTicks, array $weights): void {
    expect(array_map(
        static fn (int $slot): int => Meter::parse($meter)->weightAt($slot * $slotTicks),
        range(0, count($weights) - 1),
    ))->toBe($weights);
})->with([
    'four in eighths' => ['4/4', 480, [0, -3, -2, -3, -1, -3, -2, -3]],
    'three in eighths' => ['3/4', 480, [0, -2, -1, -2, -1, -2]],
    'six eight' => ['6/8', 480, [0, -2, -2, -1, -2, -2]],
    'the next bar starts anew' => ['2/4', 960, [0, -1, 0]],
]);

it('counts aloud', function (string $meter, int $grid, string $said): void {
    expect(implode(' ', Counting::syllables(Meter::parse($meter), $grid)))->toBe($said);
})->with([
    ['4/4', 1, '1 2 3 4'], ['4/4', 2, '1 & 2 & 3 & 4 &'], ['3/4', 3, '1 trip let 2 trip let 3 trip let'],
    ['2/4', 4, '1 e & a 2 e & a'], ['12/8', 3, '1 & a 2 & a 3 & a 4 & a'], ['6/8', 6, '1 ta & ta a ta 2 ta & ta a ta'],
]);

it('cannot count a beat in five', function (): void {
    Counting::syllables(Meter::parse('4/4'), 5);
})->throws(TimeException::class, 'Choose 1, 2, 3, 4 or 6');

it('weighs the slots of nine eighths by their beats', function (): void {
    $meter = Meter::parse('9/8');

    expect(array_map(static fn (int $slot): int => $meter->weightAt($slot * 480), range(0, 8)))->toBe([0, -2, -2, -1, -2, -2, -1, -2, -2]);
});
