<?php

declare(strict_types=1);

use Gravik\Strokes\Pattern;
use Gravik\Strokes\Shaping\LineRooms;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;

it('finds the rests of a line that are a beat and more, and puts a short chord off the beat into each', function (
    string $line,
    string $meter,
    array $rooms,
    string $chords,
): void {
    $pattern = CountLine::parse($line, Meter::parse($meter));
    $found = new LineRooms($pattern);
    $beats = static fn (int $tick): float => round($tick / $pattern->meter->beatTicks(), 3);

    expect(array_map(static fn (array $room): array => array_map($beats, $room), $found->of(0)))->toEqual($rooms)
        ->and(CountLine::write(new Pattern($pattern->meter, $pattern->ticks, [$found->punctuation(0)])))->toBe($chords);
})->with([
    'two notes, then nothing' => ['1 & (2) (3) (4)', '4/4', [[1, 4]], '(1) (2) &. (3) (4)'],
    'room before and between' => ['(1) (&) 2 (3) (4) &', '4/4', [[0, 1], [2, 3.5]], '(1) &. (2) (3) &. (4)'],
    'no room' => ['1 2 & 3 4', '4/4', [], '(1) (2) (3) (4)'],
    'thirds keep thirds' => ['1 trip let (2) (3) 4 (trip) let', '4/4', [[1, 3]], '(1) (2) (trip) let. (3) (4)'],
    'dotted beats' => ['1 & a (2) (&) (a) | 1 (2)', '6/8', [[1, 2], [3, 4]], '(1) (2) (&) a. | (1) (2) (&) a.'],
]);
