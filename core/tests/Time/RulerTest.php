<?php

declare(strict_types=1);

use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;
use Gravik\Time\TimeException;

function ruler(float $bpm, float $ratio = 1.0, SwingUnit $unit = SwingUnit::Eighth, string $meter = '4/4'): Ruler
{
    return new Ruler(Meter::parse($meter), new Tempo($bpm), Feel::fixed($ratio, $unit));
}

it('puts the off-beat at p = r/(1+r) of the beat, to a microsecond, at twelve tempos', function (float $bpm): void {
    foreach ([0.7, 1.0, 1.3, 1.5, 2.0, 2.6, 3.0] as $ratio) {
        foreach ([0, 3, 17] as $beat) {
            $expected = (60 / $bpm) * ($beat + $ratio / (1 + $ratio));
            expect(ruler($bpm, $ratio)->secondsAt($beat * 960 + 480, 2))->toEqualWithDelta($expected, 1e-6);
        }
    }
})->with([40, 54, 63, 76, 92, 104, 120, 138, 167, 200, 260, 320]);

it('moves quarters of a swung beat to the middles of its parts', function (): void {
    $p = 2 / 3;
    expect(array_map(static fn (int $slot): float => ruler(60, 2)->beatsAt($slot * 240, 4), range(0, 3)))
        ->toEqualWithDelta([0, $p / 2, $p, ($p + 1) / 2], 1e-12);
});

it('swings sixteenths inside each half beat and leaves the halves alone', function (): void {
    $ruler = ruler(60, 2, SwingUnit::Sixteenth);
    expect(array_map(static fn (int $slot): float => $ruler->beatsAt($slot * 240, 4), range(0, 4)))->toEqualWithDelta(
        [0, 1 / 3, 0.5, 0.5 + 1 / 3, 1],
        1e-12,
    )
        ->and($ruler->beatsAt(480, 2))->toBe(0.5);
});

it('never moves beats, triplets and sixths', function (int $division): void {
    for ($slot = 0; $slot <= 4 * $division; $slot++) {
        expect(ruler(90, 2.4)->beatsAt(intdiv(960, $division) * $slot, $division))->toEqualWithDelta($slot / $division, 1e-12);
    }
})->with([1, 3, 6]);

it('never lets time run backwards', function (): void {
    foreach ([0.7, 1.0, 2.0, 3.0] as $ratio) {
        foreach ([SwingUnit::Eighth, SwingUnit::Sixteenth] as $unit) {
            $times = array_map(static fn (int $slot): float => ruler(133, $ratio, $unit)->secondsAt($slot * 240, 4), range(0, 64));
            $sorted = $times;
            sort($sorted);
            expect($times)->toBe($sorted)->and(array_unique($times))->toHaveCount(65);
        }
    }
});

it('counts dotted quarters in compound meters', function (): void {
    expect(ruler(58, 1, SwingUnit::Eighth, '12/8')->secondsAt(4 * 1440, 3))->toEqualWithDelta(4 * 60 / 58, 1e-9);
});

it('works out a swing from the tempo: triplet up to 182, then less, straight at the end', function (float $bpm, SwingUnit $unit, float $ratio): void {
    $feel = new Feel(FeelMode::FollowsTempo, 1.0, $unit);
    expect($feel->ratioAt(new Tempo($bpm)))->toEqualWithDelta($ratio, 0.005);
})->with([
    [100, SwingUnit::Eighth, 2.0], [181, SwingUnit::Eighth, 2.0], [
        200,
        SwingUnit::Eighth,
        (300 - 110) / 110,
    ], [240, SwingUnit::Eighth, (250 - 110) / 110],
    [300, SwingUnit::Eighth, 1.0], [96, SwingUnit::Sixteenth, (312.5 - 110) / 110], [120, SwingUnit::Sixteenth, (250 - 110) / 110],
]);

it('is the same ruler only where meter, tempo and lean are the same', function (string $meter, float $tempo, Feel $feel, bool $same): void {
    $ruler = new Ruler(Meter::parse('4/4'), new Tempo(120), Feel::fixed(2));
    expect($ruler->equals(new Ruler(Meter::parse($meter), new Tempo($tempo), $feel)))->toBe($same);
})->with([
    ['4/4', 120, Feel::fixed(2), true], ['3/4', 120, Feel::fixed(2), false], ['4/4', 121, Feel::fixed(2), false],
    ['4/4', 120, Feel::fixed(1.5), false], ['4/4', 120, Feel::fixed(2, SwingUnit::Sixteenth), false],
]);

it('warns of a short note that is too short to swing', function (): void {
    expect(Feel::fixed(3)->tooShortMs(new Tempo(200)))->toEqualWithDelta(75.0, 1e-9)
        ->and(Feel::fixed(2)->tooShortMs(new Tempo(120)))->toBeNull()
        ->and(Feel::straight()->tooShortMs(new Tempo(400)))->toBeNull();
});

it('refuses tempos and swings that nobody plays', function (callable $build): void {
    expect($build)->toThrow(TimeException::class);
})->with([
    [static fn () => new Tempo(0)], [static fn () => new Tempo(10_000)], [static fn () => new Tempo(NAN)], [static fn () => Feel::fixed(0.2)], [static fn () => Feel::fixed(INF)],
]);

it('reads a feel by name, by ratio and by share', function (string $typed, float $ratio, FeelMode $mode): void {
    $feel = Feel::parse($typed);
    expect($feel->ratio)->toEqualWithDelta($ratio, 1e-9)->and($feel->mode)->toBe($mode);
})->with([
    [
        'straight',
        1.0,
        FeelMode::Fixed,
    ], [
        'Triplet',
        2.0,
        FeelMode::Fixed,
    ], ['shuffle', 2.0, FeelMode::Fixed], ['dotted', 3.0, FeelMode::Fixed], ['light', 1.3, FeelMode::Fixed],
    ['2', 2.0, FeelMode::Fixed], ['3:2', 1.5, FeelMode::Fixed], ['1,6', 1.6, FeelMode::Fixed], ['60 %', 1.5, FeelMode::Fixed], ['75%', 3.0, FeelMode::Fixed], [
        'follows the tempo',
        1.0,
        FeelMode::FollowsTempo,
    ],
]);

it('says what a feel can be where it cannot read one', function (string $typed, string $says): void {
    expect(fn () => Feel::parse($typed))->toThrow(TimeException::class, $says);
})->with([
    ['bouncy', '"bouncy" is no feel'],
    ['', 'is no feel'],
    ['100 %', 'is no feel'],
    ['2:0', 'is no feel'],
    ['90 %', 'outside what can be felt'],
    ['4', 'outside what can be felt'],
]);

it('puts a triplet\'s off-beat a sixth of a pair later than straight', function (float $bpm, SwingUnit $unit, float $ms): void {
    expect(Feel::fixed(2, $unit)->offBeatMs(new Tempo($bpm)))->toEqualWithDelta($ms, 1e-9);
})->with([[60.0, SwingUnit::Eighth, 1000 / 6], [120.0, SwingUnit::Eighth, 500 / 6], [60.0, SwingUnit::Sixteenth, 500 / 6]]);

it('has tempos from 20 to 400 beats a minute', function (float $bpm, bool $played): void {
    $build = static fn (): Tempo => new Tempo($bpm);
    $played ? expect($build()->beatSeconds())->toEqualWithDelta(60 / $bpm, 1e-12) : expect($build)->toThrow(TimeException::class);
})->with([[20, true], [400, true], [19.99, false], [400.01, false]]);

it('leans sixteenths within swung eighths, each half of the beat straight in itself', function (): void {
    $ruler = new Ruler(Meter::parse('4/4'), new Tempo(60), Feel::fixed(2));
    $places = array_map(static fn (int $slot): float => $ruler->beatsAt(240 * $slot, 4), range(0, 4));

    expect($places)->toEqualWithDelta([0.0, 1 / 3, 2 / 3, 5 / 6, 1.0], 1e-9);
});
