<?php

declare(strict_types=1);

use Gravik\Chart\ChartException;
use Gravik\Chart\Dynamic;
use Gravik\Chart\Loudness;
use Gravik\Chart\Section;
use Gravik\Chart\SungWords;

it('keeps a level from its mark on, and grows or fades where it is told to', function (array $marks, array $from, array $to): void {
    $section = new Section('a', 'A', '', dynamics: array_map(static fn (array $mark): Dynamic => new Dynamic(...$mark), $marks));
    $bars = Loudness::ofBars($section->dynamics, 4);

    expect(array_column($bars, 'from'))->toEqualWithDelta($from, 1e-9)->and(array_column($bars, 'to'))->toEqualWithDelta($to, 1e-9);
})->with([
    'nothing marked is firm' => [[], [3, 3, 3, 3], [3, 3, 3, 3]],
    'at once' => [[[2, 1]], [3, 3, 1, 1], [3, 3, 1, 1]],
    'growing over three bars' => [[[0, 1], [3, 4, true]], [1, 2, 3, 4], [2, 3, 4, 4]],
    'fading from what is firm anyway' => [[[2, 1, true]], [3, 2, 1, 1], [2, 1, 1, 1]],
    'growing towards the bar after the last' => [[[0, 2], [4, 4, true]], [2, 2.5, 3, 3.5], [2.5, 3, 3.5, 4]],
    'marks in any order, the later of two' => [[[2, 2], [0, 4], [2, 1]], [4, 4, 1, 1], [4, 4, 1, 1]],
]);

it('is four decibels from level to level, straight within the bar', function (): void {
    $grows = new Loudness(2.0, 4.0);
    $db = static fn (float $gain): float => 20 * log10($gain);

    expect($db($grows->gain(0.0)))->toEqualWithDelta(-4, 1e-9)->and($db($grows->gain(0.5)))->toEqualWithDelta(0, 1e-9)
        ->and($db($grows->gain(1.0)))->toEqualWithDelta(4, 1e-9)->and($db($grows->gain(0.5, -2)))->toEqualWithDelta(-8, 1e-9);
});

it('refuses marks and words that stand nowhere', function (Closure $build): void {
    expect($build)->toThrow(ChartException::class);
})->with([
    'before the section' => [static fn () => new Dynamic(-1, 3)],
    'softer than a hush' => [static fn () => new Dynamic(0, 0)],
    'louder than full' => [static fn () => new Dynamic(0, 5)],
    'no words' => [static fn () => new SungWords(0, ' ')],
    'words before the section' => [static fn () => new SungWords(-1, 'ahoy')],
]);
