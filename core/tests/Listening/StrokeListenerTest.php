<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\Internal\Spectrum;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Lock\FirstBeat;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\PluckedTake;
use Gravik\Time\SwingUnit;

/** @param list<float> $samples */
function recorded(array $samples, int $rate): WavSource
{
    $path = tempnam(sys_get_temp_dir(), 'gravik-take-') ?: '';
    file_put_contents($path, WavFile::write([$samples], count($samples), $rate));
    register_shutdown_function(static fn (): bool => @unlink($path));

    return WavSource::open($path);
}

/** Eighths for some bars, scattered, with dead strokes and accents among them. */
function strummed(int $seed, int $beats = 16): array
{
    $chance = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $strokes = [];
    foreach (range(0, 2 * $beats - 1) as $eighth) {
        $strokes[] = ['t' => 0.6 + 0.27 * $eighth + $chance->getInt(-10, 10) / 1000, 'frets' => [
            [null, 5, 7, 7, 6, 5],
            [3, 2, 0, 0, 0, 3],
        ][intdiv($eighth, 8) % 2], 'up' => $eighth % 2 === 1,
            'sweepMs' => (float) $chance->getInt(4, 30), 'dead' => $chance->getInt(0, 4) === 0, 'level' => [0.6, 0.75, 0.9][$chance->getInt(0, 2)], 'seconds' => 3.0];
    }

    return $strokes;
}

it('hears each strum once, when it begins, and whether it rings, in sounds made in other ways than ours', function (string $method, int $rate, float $attackMs, float $dead, Closure $room): void {
    $take = new PluckedTake($method, $rate, 11, $attackMs);
    $strokes = strummed(3);
    $truth = $take->play($strokes, 10.5);
    $room($take);
    $heard = (new StrokeListener())->hear(recorded($take->normalised()->samples, $rate));

    $errors = [];
    $rightlyDead = 0;
    foreach ($truth as $number => $t) {
        foreach ($heard as $stroke) {
            if (abs($stroke->t - $t) <= 0.025) {
                $errors[] = 1000 * abs($stroke->t - $t);
                $rightlyDead += $stroke->muted === $strokes[$number]['dead'] ? 1 : 0;
                break;
            }
        }
    }
    sort($errors);
    // Single sweeps of 15 ms and more are told from the order in which their strings begin.
    $swept = array_filter(
        array_keys($truth),
        static fn (int $number): bool => ! $strokes[$number]['dead'] && $strokes[$number]['sweepMs'] >= 15,
    );
    $told = $right = 0;
    foreach ($swept as $number) {
        foreach ($heard as $stroke) {
            if (abs($stroke->t - $truth[$number]) <= 0.025 && $stroke->direction !== null) {
                $told++;
                $right += ($stroke->direction === Direction::Up) === $strokes[$number]['up'] ? 1 : 0;
            }
        }
    }
    expect($told / count($swept))->toBeGreaterThan(0.65)
        ->and($right / $told)->toBeGreaterThan(0.7);
    expect(2 * count($errors) / (count($truth) + count($heard)))->toBeGreaterThan(0.95)
        // The pick scrapes over the string four milliseconds ahead of its sound, and is heard.
        ->and($errors[intdiv(count($errors), 2)])->toBeLessThan(4.5)
        ->and($rightlyDead / count($errors))->toBeGreaterThan($dead);
})->with([
    'delay lines, dry' => ['delay', 44100, 0.5, 0.95, static fn (PluckedTake $take) => $take->withNoise(0.002)],
    'delay lines in a room' => ['delay', 22050, 0.5, 0.8, static fn (PluckedTake $take) => $take->inRoom(0.5)],
    'partials, clipped' => ['partials', 22050, 2.0, 0.9, static fn (PluckedTake $take) => $take->clippedAt(0.6)],
    'modulated, with a click that bleeds in' => [
        'modulated',
        44100,
        4.0,
        0.9,
        static fn (PluckedTake $take) => $take->withClick(0.54, 0.07),
    ],
    'modulated, telephone' => ['modulated', 8000, 2.0, 0.9, static fn (PluckedTake $take) => $take->withNoise(0.005)],
]);

it('reports of a recording what it reports of the taps it was made from', function (float $bias, float $offBeat, float $spread): void {
    $breakdown = Examples::breakdown(['tempo' => 100, 'feel' => ['mode' => 'fixed', 'ratio' => 2, 'unit' => 'eighth']], 'xxcxx.cx');
    $timeline = (new Performer())->perform($breakdown);
    $player = new SimulatedPlayer($bias, $offBeat, $spread, 0.03, 5);
    $path = tempnam(sys_get_temp_dir(), 'gravik-take-') ?: '';
    file_put_contents($path, (new SimulatedTake($timeline, $player->play($timeline, 8)))->wav(22050));
    $heard = array_map(
        static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(),
        (new StrokeListener())->hear(WavSource::open($path)),
    );
    unlink($path);
    $fromTaps = (new LockReporter())->report(Take::read($player->taps($timeline, 8)), $timeline, SwingUnit::Eighth);
    $fromSound = (new LockReporter())->report(Take::of($heard, SimulatedTake::LEAD), $timeline, SwingUnit::Eighth);

    expect(abs($fromSound->matched - $fromTaps->matched))->toBeLessThanOrEqual(2)
        ->and($fromSound->biasMs)->toEqualWithDelta($fromTaps->biasMs, 2.0)
        ->and($fromSound->spreadMs)->toEqualWithDelta($fromTaps->spreadMs, 2.0)
        ->and($fromSound->swing?->played)->toEqualWithDelta($fromTaps->swing?->played, 0.08)
        ->and(array_sum(array_column($fromSound->slots, 'mutedOk')) / count($fromSound->slots))->toBeGreaterThan(0.9)
        ->and(FirstBeat::of($timeline, $heard))->toEqualWithDelta(SimulatedTake::LEAD + $bias / 1000, 0.005);
})->with(['early off-beats' => [8.0, -35.0, 6.0], 'late throughout' => [25.0, 0.0, 10.0]]);

it('says of silence and of noise what they are', function (): void {
    $noise = new Random\Randomizer(new Random\Engine\Mt19937(1));
    expect(fn () => (new StrokeListener())->hear(recorded(array_fill(0, 16000, 0.0), 8000)))->toThrow(ListeningException::class, 'silent')
        ->and(fn () => (new StrokeListener())->hear(recorded(
            array_map(static fn (): float => $noise->getInt(-1000, 1000) / 4000, range(1, 40000)),
            8000,
        )))->toThrow(
            ListeningException::class,
            'No stroke begins',
        );
});

it('transforms two signals at once as the definition of the transform has it', function (): void {
    $size = 32;
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(2));
    $signals = array_map(
        static fn (): array => array_map(static fn (): float => $chance->getInt(-1000, 1000) / 1000, range(1, $size)),
        [0, 1],
    );
    $spectra = (new Spectrum($size))->spectra(...$signals);
    foreach ($signals as $which => $signal) {
        foreach (range(1, $size / 2 - 1) as $bin) {
            $re = $im = 0.0;
            foreach ($signal as $i => $value) {
                $windowed = $value * (0.5 - 0.5 * cos(2 * M_PI * $i / $size));
                $re += $windowed * cos(2 * M_PI * $bin * $i / $size);
                $im -= $windowed * sin(2 * M_PI * $bin * $i / $size);
            }
            expect($spectra[$which][0][$bin - 1])->toEqualWithDelta($re, 1e-9)
                ->and($spectra[$which][1][$bin - 1])->toEqualWithDelta($im, 1e-9);
        }
    }
});
