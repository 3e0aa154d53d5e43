<?php

declare(strict_types=1);

use Gravik\Strokes\Failure\RhythmTooShort;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Strokes\Written\FigureRhythm;
use Gravik\Time\Meter;

it('spreads notes without a rhythm evenly over bars that can be counted', function (string $typed, string $meter, string $counted): void {
    $line = (new FigureRhythm(Meter::parse($meter)))->counted($typed);

    expect($line)->toBe($counted)
        ->and(FigureLine::parse([$typed], Meter::parse($meter))->notes)->toEqual(
            FigureLine::parse([$counted], Meter::parse($meter))->notes,
        );
})->with([
    'half a bar' => ['6:3 5:0+4:2 5:2h4', '4/4', '1=6:3 &=5:0+4:2 2=5:2h4 (&) (3) (&) (4) (&)'],
    'into a second bar' => ['6:3 6:5 | 5:3 5:5 4:3', '2/4', '1=6:3 &=6:5 2=5:3 &=5:5 | 1=4:3 (&) (2) (&)'],
    'on the thirds of dotted beats' => ['6:3 6:5 5:3 5:5', '6/8', '1=6:3 &=6:5 a=5:3 2=5:5 (&) (a)'],
    'counted already' => ['1=6:3 & 2', '2/4', '1=6:3 & 2'],
]);

it('gives notes a rhythm in their order', function (string $typed, string $rhythm, string $together): void {
    expect((new FigureRhythm(Meter::parse('4/4')))->onto($typed, $rhythm))->toBe($together);
})->with([
    'notes alone' => ['6:3 5:2', '1 (&) (2) &! (3) (4)', '1=6:3 (&) (2) &!=5:2 (3) (4)'],
    'strokes on the grip stay strokes on the grip' => ['1=6:3 & 2=5:2 (3) (4)', '(1) & 2 (&) 3 (4)', '(1) &=6:3 2 (&) 3=5:2 (4)'],
    'more strokes than notes' => ['6:3', '1 2x^ 3 (4) | (1) 2 3 4', '1=6:3 (2) (3) (4) | (1) (2) (3) (4)'],
]);

it('refuses a rhythm that is too short for the notes, with both counts', function (): void {
    expect(static fn () => (new FigureRhythm(Meter::parse('4/4')))->onto('6:3 6:5 6:3', '1 2 (3) (4)'))
        ->toThrow(static fn (RhythmTooShort $problem) => expect([$problem->strokes, $problem->notes])->toBe([2, 3]));
});

it('writes a figure as it was typed, with how each note is come to', function (string $typed): void {
    $line = FigureLine::parse([$typed], Meter::parse('4/4'));

    expect(FigureLine::write($line->pattern, 0, $line->notes[0]))->toBe($typed);
})->with(['1=2:5h6+3:4s5 2=1:3 3=3:7b9 4=2:8p5', '1=3:7B9 (2) 3=3:7r9 4=4:3g5']);

it('knows on which frets an ornament can be done', function (OrnamentKind $kind, int $frets, int $fret, bool $fits): void {
    expect((new Ornament($kind, $frets))->fitsOn($fret))->toBe($fits);
})->with([
    'slid into from one below' => [OrnamentKind::SlideIn, -1, 1, true],
    'slid into an open string from below' => [OrnamentKind::SlideIn, -1, 0, false],
    'pulled off to an open string' => [OrnamentKind::PullOff, 2, 0, true],
    'hammered from two below on the first fret' => [OrnamentKind::HammerOn, -2, 1, false],
    'slid down from a fret' => [OrnamentKind::SlideOut, -3, 1, true],
    'slid down from an open string' => [OrnamentKind::SlideOut, -3, 0, false],
    'slid up from an open string' => [OrnamentKind::SlideOut, 3, 0, true],
]);
