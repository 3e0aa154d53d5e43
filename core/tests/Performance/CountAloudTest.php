<?php

declare(strict_types=1);

use Gravik\Formats\PatternJson;
use Gravik\Performance\CountAloud;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Written\CountLine;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

function counted(string $counted, string $line, string $meter, float $ratio = 1.0): Timeline
{
    $pattern = (new PatternJson())->write(CountLine::parse($counted, Meter::parse($meter)));
    $fields = [
        'meter' => $meter,
        'tempo' => 60,
        'feel' => Examples::swing($ratio),
        'pattern' => $pattern,
        'sections' => [['name' => 'A', 'line' => $line]],
    ];

    return (new Performer())->perform(Examples::breakdown($fields));
}

it('says every beat as the pattern divides it, where its strokes sound', function (string $counted, string $meter, float $ratio, array $times, string $depths): void {
    $said = CountAloud::through(counted($counted, '| D |', $meter, $ratio));

    expect(array_column($said, 't'))->toEqualWithDelta($times, 1e-9)->and(implode('', array_column($said, 'depth')))->toBe($depths);
})->with([
    'swung eighths' => ['1 & (2) &', '2/4', 2.0, [0, 2 / 3, 1, 1 + 2 / 3], '0212'],
    'an undivided beat is one word' => ['1 2 &', '2/4', 1.0, [0, 1, 1.5], '012'],
    'quarters' => ['1 e & a 2', '2/4', 1.0, [0, 0.25, 0.5, 0.75, 1], '03231'],
    'thirds never lean' => ['1 trip let 2', '2/4', 2.0, [0, 1 / 3, 2 / 3, 1], '0221'],
    'dotted beats' => ['1 & a 2', '6/8', 1.0, [0, 1 / 3, 2 / 3, 1], '0221'],
]);

it('goes on through bars after the pattern', function (): void {
    expect(implode('', array_column(CountAloud::through(counted('1 & 2', '| D | N.C. | D |', '2/4')), 'depth')))->toBe('021021021');
});
