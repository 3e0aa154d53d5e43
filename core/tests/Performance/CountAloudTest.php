<?php

declare(strict_types=1);

use Gravik\Performance\CountAloud;
use Gravik\Strokes\CountLine;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

it('says every beat as the pattern divides it, where its strokes sound', function (string $counted, string $meter, float $ratio, array $times, string $depths): void {
    $pattern = CountLine::parse($counted, Meter::parse($meter));
    $said = CountAloud::through($pattern, $pattern->bars(), new Ruler($pattern->meter, new Tempo(60), Feel::fixed($ratio)));

    expect(array_column($said, 't'))->toEqualWithDelta($times, 1e-9)->and(implode('', array_column($said, 'depth')))->toBe($depths);
})->with([
    'swung eighths' => ['1 & (2) &', '2/4', 2.0, [0, 2 / 3, 1, 1 + 2 / 3], '0212'],
    'an undivided beat is one word' => ['1 2 &', '2/4', 1.0, [0, 1, 1.5], '012'],
    'quarters' => ['1 e & a 2', '2/4', 1.0, [0, 0.25, 0.5, 0.75, 1], '03231'],
    'thirds never lean' => ['1 trip let 2', '2/4', 2.0, [0, 1 / 3, 2 / 3, 1], '0221'],
    'dotted beats' => ['1 & a 2', '6/8', 1.0, [0, 1 / 3, 2 / 3, 1], '0221'],
]);

it('goes on through bars after the pattern', function (): void {
    $pattern = CountLine::parse('1 & 2', Meter::parse('2/4'));

    expect(implode('', array_column(CountAloud::through($pattern, 3, new Ruler($pattern->meter, new Tempo(60), Feel::straight())), 'depth')))->toBe('021021021');
});
