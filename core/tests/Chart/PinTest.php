<?php

declare(strict_types=1);

use Gravik\Chart\Pin;
use Gravik\Chart\Place;

it('shifts what is fretted and leaves silent strings silent, within frets 0 to 15', function (array $frets, int $by, ?array $moved): void {
    expect((new Pin(new Place('s1', null, 0, 0), 'A', $frets))->shifted($by)?->frets)->toBe($moved);
})->with([
    'up' => [[null, 0, 2, 2, 2, null], 3, [null, 3, 5, 5, 5, null]],
    'down to the nut' => [[null, 3, 5, 5, 5, null], -3, [null, 0, 2, 2, 2, null]],
    'past the nut' => [[null, 0, 2, 2, 2, null], -1, null],
    'up to the fifteenth' => [[null, 10, 12, 12, 12, null], 3, [null, 13, 15, 15, 15, null]],
    'past it' => [[null, 10, 12, 12, 12, null], 4, null],
    'nothing that sounds' => [[null, null, null, null, null, null], 1, null],
]);

it('goes with its chord to another key the shorter way, and stays where open strings hold it', function (array $frets, int $semitones, ?array $moved): void {
    expect((new Pin(new Place('s1', null, 0, 0), 'A', $frets))->movedBy($semitones, 'B')?->frets)->toBe($moved);
})->with([
    'up' => [[null, 5, 7, 6, 8, null], 2, [null, 7, 9, 8, 10, null]],
    'eleven up is one down' => [[null, 5, 7, 6, 8, null], 11, [null, 4, 6, 5, 7, null]],
    'open strings' => [[null, 0, 2, 2, 2, 0], 2, null],
    'nowhere' => [[null, 0, 2, 2, 2, 0], 0, [null, 0, 2, 2, 2, 0]],
]);
