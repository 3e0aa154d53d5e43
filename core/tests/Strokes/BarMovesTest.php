<?php

declare(strict_types=1);

use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;

it('lays a move over a bar as it is played anyway', function (BarMove $move, string $counted, string $becomes, string $meter = '4/4', int $slots = 4): void {
    $moved = $move->over(CountLine::parse($counted, Meter::parse($meter)), $slots);

    expect(CountLine::write($moved, 0))->toBe($becomes)->and($moved->bars())->toBe(1);
})->with([
    'a push is the next chord, half a beat early' => [BarMove::Push, '1 (&) 2x & 3 (&) 4x &', '1 (&) 2x & 3 (&) 4x &!>'],
    'a push over sixteenths' => [BarMove::Push, '1 e & a 2 3 4 e & a', '1 e & a 2 3 4 e &!> (a)'],
    'a push in twelve-eight' => [BarMove::Push, '1 & a 2 3 4 & a', '1 & a 2 3 4 & a!>', '12/8'],
    'a hop over the open strings' => [BarMove::OpenStringHop, '1 & 2 & 3 & 4 &', '1 & 2 & 3 & 4 &o'],
    'a fill of four dead eighths' => [BarMove::MutedFill, '1 (&) 2 & 3 (&) 4 &', '1 (&) 2 & 3x &x 4x &x'],
    'a fill of one' => [BarMove::MutedFill, '1 2 3 4', '1 2 3 4 &x', '4/4', 1],
    'a fill of sixteenths where the bar has them' => [BarMove::MutedFill, '1 e & a 2 3 4', '1 e & a 2 3 4x ex &x ax'],
    'a fill longer than the bar is the bar' => [BarMove::MutedFill, '1 2 3', '1x &x 2x &x 3x &x', '3/4', 12],
    'a signal on the first beat' => [BarMove::SignalAccent, '1 2x 3 4x', '1!! 2x 3 4x'],
    'a signal where the first beat is silent or dead' => [BarMove::SignalAccent, '(1) & 2x 3 4x', '1!! & 2x 3 4x'],
    'two stabs after silence' => [BarMove::StabAnswer, '1 & 2 & 3 & 4 &', '(1) (2) (3) &! (4) &!'],
]);

it('hammers the upper strings of the first stroke on from the fret below, and leaves the second line alone', function (): void {
    $bar = CountLine::parse('1 2 3 4', Meter::parse('4/4'));
    $hammered = BarMove::GraceHammer->over($bar)->streams[0]->strokes[0];

    expect([$hammered->ornament?->kind->value, $hammered->ornament?->frets])->toBe(['grace', -1])
        ->and($hammered->strings->value)->toBe('high')
        ->and(BarMove::GraceHammer->over($bar)->streams[0]->strokes[1])->toEqual($bar->streams[0]->strokes[1]);
});
