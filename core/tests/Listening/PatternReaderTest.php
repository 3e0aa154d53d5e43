<?php

declare(strict_types=1);

use Gravik\Listening\ListeningException;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\Tapped\Internal\BeatReader;
use Gravik\Listening\Tapped\PatternReader;
use Gravik\Listening\Tapped\PatternReading;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/** Taps as a person would: late by so much, and scattered. */
function tapped(string $counted, string $meter, float $bpm, Feel $feel, float $lateMs, float $spreadMs, int $seed): Take
{
    $pattern = CountLine::parse($counted, Meter::parse($meter));
    $ruler = new Ruler($pattern->meter, new Tempo($bpm), $feel);
    $chance = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $scatter = static fn (): float => $spreadMs * array_sum(array_map(
        static fn (): float => $chance->getInt(-1000, 1000) / 1000,
        range(1, 3),
    ));

    return Take::read(array_map(
        static fn (Stroke $stroke): array => ['t' => $ruler->secondsAt($stroke->at, $stroke->division) + ($lateMs + $scatter()) / 1000],
        $pattern->strokes(),
    ));
}

/** @return list<PatternReading> */
function readTaps(Take $take, string $meter, float $bpm, int $bars = 1): array
{
    return (new PatternReader(new Tempo($bpm), Meter::parse($meter)))->read($take->taps, $bars);
}

it('hears what was meant through late and scattered taps', function (string $counted, string $meter, float $bpm, float $ratio, SwingUnit $unit, string $words): void {
    $bars = substr_count($counted, '|') + 1;
    foreach (range(1, 8) as $seed) {
        $best = readTaps(tapped($counted, $meter, $bpm, Feel::fixed($ratio, $unit), 25, 8, $seed), $meter, $bpm, $bars)[0];
        expect(CountLine::write($best->pattern))->toBe($counted)
            ->and($best->words())->toStartWith($words)
            ->and($best->feel->ratio)->toEqualWithDelta($ratio, 0.35 * $ratio - 0.3)
            ->and($best->shiftMs)->toEqualWithDelta(25, 16)
            ->and($best->spreadMs)->toBeLessThan(16);
    }
})->with([
    'straight eighths' => ['1 & (2) & 3 4 &', '4/4', 100.0, 1.0, SwingUnit::Eighth, 'straight eighths'],
    'swung eighths' => ['1 & 2 & 3 & 4 &', '4/4', 120.0, 2.0, SwingUnit::Eighth, 'eighths swung at '],
    'a light swing' => ['1 & 2 & 3 & 4 & | 1 & 2 & 3 & 4 &', '4/4', 96.0, 1.5, SwingUnit::Eighth, 'eighths swung at '],
    'sixteenths' => ['1 e & a 2 (e) & a 3 e & a (4) (e) & a', '4/4', 84.0, 1.0, SwingUnit::Eighth, 'straight sixteenths'],
    'swung sixteenths' => ['1 e & a 2 e & a 3 e & a 4 e & a', '4/4', 76.0, 1.8, SwingUnit::Sixteenth, 'sixteenths swung at '],
    'triplets' => ['1 trip let 2 trip let 3 (trip) let 4 trip let', '4/4', 90.0, 1.0, SwingUnit::Eighth, 'in thirds'],
    'a triplet among eighths' => ['1 trip let 2 & 3 & 4 &', '4/4', 84.0, 1.0, SwingUnit::Eighth, 'straight, with thirds'],
    'beats of three' => ['1 & a 2 (&) a', '6/8', 60.0, 1.0, SwingUnit::Eighth, 'in thirds'],
]);

it('offers the other ways to hear it after the likeliest', function (): void {
    $readings = readTaps(tapped('1 & 2 & 3 & 4 &', '4/4', 120, Feel::fixed(2), 0, 4, 3), '4/4', 120);

    expect(array_map(static fn (PatternReading $reading): string => $reading->words(), $readings))->toContain('in thirds')
        ->and($readings)->toBe(array_values(array_filter(
            $readings,
            static fn (PatternReading $reading): bool => $reading->cost >= $readings[0]->cost,
        )));
});

it('keeps dead strokes and the directions that the hand would not have given', function (): void {
    $take = Take::read([
        ['t' => 0.0, 'key' => 'down'],
        ['t' => 0.3, 'key' => 'down'],
        ['t' => 0.6, 'key' => 'down', 'dead' => true],
        ['t' => 0.61, 'key' => 'down'],
        ['t' => 2.395, 'key' => 'down'],
    ]);

    expect(CountLine::write(readTaps($take, '4/4', 100)[0]->pattern))->toBe('1 &v 2x (3) (4)');
});

it('leads into the first beat with what came before it, and asks for taps where there are none', function (): void {
    expect(CountLine::write(readTaps(Take::read([-0.25, 0.0, 0.5]), '4/4', 120)[0]->pattern))->toBe('1 2 (3) (4) &')
        ->and(fn () => readTaps(Take::read([]), '4/4', 120))->toThrow(ListeningException::class, 'Nothing was tapped');
});

it('puts the taps of a beat on its slots at the least cost that any way has', function (): void {
    $reader = new BeatReader(0.5);
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(5));
    foreach (range(1, 60) as $_) {
        $taps = array_map(static fn (): float => $chance->getInt(-80, 910) / 1000, range(1, $chance->getInt(1, 4)));
        sort($taps);
        $division = $chance->getInt(1, 4);
        $slots = array_map(static fn (int $slot): float => $slot / $division, range(0, $division - 1));
        expect($reader->read($taps, $slots)['cost'])->toEqualWithDelta(cheapestOfAll($taps, $slots, 0, 0), 1e-9);
    }
});

/** Every way to put these taps in order on these slots, or leave them out, tried. */
function cheapestOfAll(array $taps, array $slots, int $tap, int $slot): float
{
    if ($tap === count($taps)) {
        return 0.0;
    }
    $ways = [BeatReader::LEFT_OUT + cheapestOfAll($taps, $slots, $tap + 1, $slot)];
    for ($to = $slot; $to < count($slots); $to++) {
        $ways[] = (($taps[$tap] - $slots[$to]) / (0.018 / 0.5)) ** 2 / 2 + cheapestOfAll($taps, $slots, $tap + 1, $to + 1);
    }

    return min($ways);
}

it('offers what a teacher would write down beside the exact ways, however far one tap strays', function (): void {
    $strayed = Take::read([0.0, 0.5, 0.75, 1.0, 1.33, 1.5, 1.75]);
    $repeated = Take::read(array_merge(...array_map(
        static fn (int $bar): array => array_map(
            static fn (float $t): float => 2.0 * $bar + $t + [0.012, -0.02, 0.03, -0.01][$bar],
            $bar === 2 ? [0.0, 0.5, 0.75, 1.25] : [0.0, 0.5, 0.75, 1.25, 1.75],
        ),
        range(0, 3),
    )));
    $plainOf = static fn (Take $take, int $bars): array => array_values(array_filter(
        (new PatternReader(new Tempo(120), Meter::parse('4/4')))->read($take->taps, $bars),
        static fn (PatternReading $reading): bool => CountLine::write($reading->pattern) !== '',
    ));

    expect(array_map(
        static fn (PatternReading $reading): string => CountLine::write($reading->pattern),
        $plainOf($strayed, 1),
    ))->toContain('1 2 & 3 & 4 &')
        ->and(array_map(
            static fn (PatternReading $reading): string => CountLine::write($reading->pattern),
            $plainOf($repeated, 4),
        ))->toContain('1 2 & (3) & (4) &');
});

it('begins with a later bar of what was played, its early first stroke with it', function (): void {
    // Quarters for two bars, then an off-beat figure whose first stroke is 30 ms early.
    $played = Take::read([0.0, 0.5, 1.0, 1.5, 2.0, 2.5, 3.0, 3.5, 3.97, 4.75, 5.25]);
    $first = (new PatternReader(new Tempo(120), Meter::parse('4/4')))->read($played->taps, 1, 2)[0];

    expect(CountLine::write($first->pattern))->toBe('1 (2) & (3) & (4)');
});

it('claims no swing where no beat and off-beat lie side by side', function (): void {
    $readings = (new PatternReader(new Tempo(120), Meter::parse('4/4')))->read(Take::read([0.0, 0.83, 1.5])->taps, 1);

    expect(array_filter($readings, static fn (PatternReading $reading): bool => $reading->feel->ratio > 1))->toBe([]);
});
