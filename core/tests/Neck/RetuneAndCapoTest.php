<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Finder\CapoChoice;
use Gravik\Neck\Finder\CapoPlan;
use Gravik\Neck\NeckException;
use Gravik\Neck\RetunePlan;
use Gravik\Neck\Retuning;
use Gravik\Neck\Tuning;

/** @return list<Retuning> */
function retuned(string $from, string $to, array $used = []): array
{
    return (new RetunePlan())->plan(Tuning::parse($from), Tuning::parse($to), $used);
}

it('says string by string how far to go', function (string $from, string $to, array $semitones): void {
    expect(array_map(static fn (Retuning $step): int => $step->semitones, retuned($from, $to)))->toBe($semitones);
})->with([
    ['standard', 'drop-d', [-2, 0, 0, 0, 0, 0]],
    ['standard', 'open-d', [-2, 0, 0, -1, -2, -2]],
    ['open-d', 'standard', [2, 0, 0, 1, 2, 2]],
    ['drop-d', 'drop-d-half-down', [-1, -1, -1, -1, -1, -1]],
    ['standard', 'standard', [0, 0, 0, 0, 0, 0]],
]);

it('asks only for the strings that the tune uses', function (): void {
    $steps = retuned('standard', 'whole-down', [6, 5]);

    expect(array_map(
        static fn (Retuning $step): array => [$step->string, $step->needed],
        $steps,
    ))->toBe([[6, true], [5, true], [4, false], [3, false], [2, false], [1, false]]);
});

it('warns of a string that may break, measured from what it is made for and not from where it is', function (string $from, string $to, array $cautioned): void {
    $warned = array_values(array_filter(retuned($from, $to), static fn (Retuning $step): bool => $step->caution !== null));

    expect(array_map(static fn (Retuning $step): int => $step->string, $warned))->toBe($cautioned);
})->with([
    'two up is within what strings bear' => ['standard', 'open-e', []],
    'three up is not' => ['standard', 'E2,A2,D3,B♭3,B3,E4', [3]],
    'back up to standard is no strain' => ['whole-down', 'standard', []],
    'from low far above standard' => ['whole-down', 'E2,A2,D3,G3,B3,G4', [1]],
    'five down hangs slack' => ['standard', 'baritone-b', [6, 5, 4, 3, 2, 1]],
]);

it('does not tune six strings to seven', function (): void {
    retuned('standard', 'seven-string');
})->throws(NeckException::class, 'a tuning of 6 strings cannot be brought to one of 7');

it('puts the capo where most chords become open grips', function (string $key, array $chords, int $capo, string $shapeKey, int $open): void {
    $best = (new CapoPlan())->choices(Key::parse($key), array_map(ChordSymbol::parse(...), $chords))[0];

    expect([$best->capo, $best->shapeKey->text(), $best->openGrips])->toBe([$capo, $shapeKey, $open]);
})->with([
    'E♭ in the shapes of C or D' => ['E♭', ['E♭', 'A♭', 'B♭7', 'Cm'], 1, 'D major', 4],
    'F minor in the shapes of E minor' => ['F minor', ['Fm', 'B♭m', 'E♭', 'A♭'], 1, 'E minor', 4],
    'a key that needs no capo' => ['G', ['G', 'C', 'D7', 'Em'], 0, 'G major', 4],
]);

it('counts the frets so that every shape sounds its chord, and never past the seventh', function (string $key): void {
    $sounding = Key::parse($key);
    $chords = array_map(ChordSymbol::parse(...), ['E♭', 'Fm7', 'B♭13', 'G7♭9/B']);
    foreach ((new CapoPlan())->choices($sounding, $chords) as $choice) {
        /** @var CapoChoice $choice */
        expect($choice->capo)->toBeBetween(0, 7);
        foreach ($choice->shapes as $place => $shape) {
            expect(($shape->rootPitchClass() + $choice->capo) % 12)->toBe($chords[$place]->rootPitchClass())
                ->and($shape->ending)->toBe($chords[$place]->ending);
        }
    }
})->with(['E♭', 'F', 'B', 'A♭', 'C♯ minor', 'G minor']);

it('names the key whose shapes are held above any capo', function (string $sounding, int $capo, string $shape): void {
    expect(CapoPlan::shapeKey(Key::parse($sounding), $capo)->text())->toBe($shape);
})->with([
    ['E♭', 3, 'C major'],
    ['A', 2, 'G major'],
    ['F minor', 1, 'E minor'],
    ['C', 2, 'B♭ major'],
    ['D minor', 4, 'B♭ minor'],
    ['B minor', 5, 'F♯ minor'],
    ['G', 1, 'F♯ major'],
]);

it('calls a shape what the hand knows, and the rest by the key', function (string $key, string $sounding, int $capo, ?string $shape): void {
    expect(CapoPlan::shapeOf(ChordSymbol::parse($sounding), Key::parse($key), $capo)?->text())->toBe($shape);
})->with([
    'no E♯' => ['A♭', 'Bdim7', 6, 'Fdim7'],
    'no C♭ in the bass' => ['E♭', 'A♭m/C♭', 1, 'Gm/B♭'],
    'nor as a root' => ['F', 'A♭maj7', 5, 'E♭maj7'],
    'G♭ over a capo at the second fret' => ['G♭', 'C♭', 2, 'A'],
    'without a capo nothing is held otherwise' => ['A♭', 'Fm', 0, null],
]);

it('lists a capo for every easy shape key within seven frets, and no other', function (string $mode, array $shapes): void {
    foreach (['C', 'C♯', 'D', 'E♭', 'E', 'F', 'F♯', 'G', 'A♭', 'A', 'B♭', 'B'] as $pitchClass => $tonic) {
        $expected = array_values(array_filter(
            array_map(static fn (int $shape): int => ($pitchClass - $shape + 12) % 12, $shapes),
            static fn (int $capo): bool => $capo <= 7,
        ));
        sort($expected);
        $capos = array_map(
            static fn (CapoChoice $choice): int => $choice->capo,
            (new CapoPlan())->choices(Key::parse("{$tonic} {$mode}"), []),
        );

        expect($capos)->toBe($expected);
    }
})->with([
    'shapes of C, A, G, E and D' => ['major', [0, 9, 7, 4, 2]],
    'shapes of Am, Em and Dm' => ['minor', [9, 4, 2]],
]);
