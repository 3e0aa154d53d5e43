<?php

declare(strict_types=1);

use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\ShapeFamily;
use Gravik\Neck\Tuning;
use Gravik\Pitch\PitchException;

it('knows the built-in tunings by their offset from standard', function (string $slug, array $offsets): void {
    $standard = Tuning::standard()->openMidi(0);

    expect(array_map(static fn (int $midi, int $from): int => $midi - $from, Tuning::parse($slug)->openMidi(0), $standard))->toBe($offsets);
})->with([
    ['half-down', [-1, -1, -1, -1, -1, -1]], ['whole-down', [-2, -2, -2, -2, -2, -2]], ['drop-d', [-2, 0, 0, 0, 0, 0]],
    ['drop-d-half-down', [-3, -1, -1, -1, -1, -1]], ['double-drop-d', [-2, 0, 0, 0, 0, -2]], ['open-d', [-2, 0, 0, -1, -2, -2]],
    ['open-e', [0, 2, 2, 1, 0, 0]], ['open-g', [-2, -2, 0, 0, 0, -2]], ['open-a', [0, 0, 2, 2, 2, 0]], ['dadgad', [-2, 0, 0, 0, -2, -2]],
    ['baritone-b', [-5, -5, -5, -5, -5, -5]],
]);

it('reads every tuning of its table, four to eight strings', function (): void {
    foreach (Tuning::known() as $slug => [$name]) {
        expect(Tuning::parse($slug)->strings())->toBeBetween(4, 8)->and($name)->not->toBe('');
    }
});

it('takes any tuning that is typed', function (): void {
    expect(Tuning::parse('D2, A2, D3, G3, B3, E4')->openMidi(2))->toBe([40, 47, 52, 57, 61, 66]);
});

it('refuses a tuning that no guitar has', function (string $typed, string $class): void {
    expect(static fn () => Tuning::parse($typed))->toThrow($class);
})->with([
    ['opne-g', NeckException::class], ['E2,A2', NeckException::class], ['E2,A2,D3,H3', PitchException::class],
    ['C0,G0,C1,G1', NeckException::class], [str_repeat('E2,', 40).'E2', NeckException::class], ['', NeckException::class],
]);

it('reads strings and frets the ways they are written', function (): void {
    expect(Neck::parseStrings('6-1', 6))->toBe([6, 5, 4, 3, 2, 1])
        ->and(Neck::parseStrings('1-4', 6))->toBe([4, 3, 2, 1])
        ->and(Neck::parseStrings('6,4,3', 6))->toBe([6, 4, 3])
        ->and(FretRange::parse(' 3 - 9 '))->toEqual(new FretRange(3, 9));
});

it('refuses strings, frets and capos that are not there', function (callable $build): void {
    expect($build)->toThrow(NeckException::class);
})->with([
    'a seventh string' => [static fn () => Neck::parseStrings('7-1', 6)],
    'words' => [static fn () => Neck::parseStrings('top three', 6)],
    'frets the wrong way round' => [static fn () => FretRange::parse('9-3')],
    'a fret past the neck' => [static fn () => FretRange::parse('0-25')],
    'a capo past the octave' => [static fn () => new Neck(Tuning::standard(), 13)],
    'a capo behind the nut' => [static fn () => new Neck(Tuning::standard(), -1)],
    'no string at all' => [static fn () => new Neck(Tuning::standard(), 0, [])],
]);

it('knows which open grip a movable grip comes from', function (array $frets, int $root, string $letter, int $fret): void {
    $family = ShapeFamily::of($frets, Tuning::standard()->openMidi(0), $root);

    expect([$family?->letter, $family?->rootFret])->toBe([$letter, $fret]);
})->with([
    'F barre' => [[1, 3, 3, 2, 1, 1], 5, 'E', 1],
    'B♭ barre' => [[null, 1, 3, 3, 3, 1], 10, 'A', 1],
    'open C' => [[null, 3, 2, 0, 1, 0], 0, 'C', 3],
    'open G' => [[3, 2, 0, 0, 0, 3], 7, 'G', 3],
    'open D' => [[null, null, 0, 2, 3, 2], 2, 'D', 0],
    'a rootless ninth that sits in the E shape' => [[null, 4, 5, 4, 5, null], 9, 'E', 5],
]);

it('takes for so many strings what is usual', function (int $strings, string $slug): void {
    expect(Tuning::usual($strings)->slug)->toBe(Tuning::parse($slug)->slug)->and(Tuning::usual($strings)->strings())->toBe($strings);
})->with([[4, 'tenor'], [5, 'A2,D3,G3,B3,E4'], [6, 'standard'], [7, 'seven-string'], [8, 'eight-string']]);

it('reads a grip as one fret a string, and says where it cannot', function (string $typed, ?array $frets): void {
    $read = static fn (): array => GripNamer::parse($typed, 6);
    $frets === null ? expect($read)->toThrow(NeckException::class) : expect($read())->toBe($frets);
})->with([
    ['x 7 8 7 8 -', [null, 7, 8, 7, 8, null]], ['0 0 0 0 0 24', [0, 0, 0, 0, 0, 24]], ['0 0 0 0 0 25', null], ['0 0 0 0 0 h', null],
    ['0 0 0 0 0 100', null], ['0 0 0 0 0', null], ['0 0 0 0 0 0 0', null], ['', null],
]);
