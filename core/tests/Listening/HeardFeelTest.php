<?php

declare(strict_types=1);

use Gravik\Breakdown\Beginning;
use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Tapped\BeatTaps;
use Gravik\Performance\Performer;
use Gravik\Simulation\RenderedBand;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\PluckedTake;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array{list<PlayedOnset>, list<PlayedOnset>} what was played, and what was heard of it */
function heardOf(string $method, string $slots, float $bpm, float $share, int $rate, float $room, float $bias = 0.0): array
{
    $chance = new Randomizer(new Mt19937(17));
    $strokes = [];
    foreach (range(0, 9) as $bar) {
        foreach (str_split($slots) as $slot => $sign) {
            if ($sign !== '.') {
                $beat = 4 * $bar + intdiv($slot, 2) + ($slot % 2 === 1 ? $share : 0.0);
                $strokes[] = ['t' => 0.7 + $bias + 60 / $bpm * $beat + $chance->getInt(-10, 10) / 1000, 'frets' => [
                    [null, 5, 7, 7, 6, 5],
                    [3, 2, 0, 0, 0, 3],
                ][$bar % 2], 'up' => $slot % 2 === 1,
                    'sweepMs' => (float) $chance->getInt(8, 28), 'dead' => $sign === 'c', 'level' => $slot % 2 === 1 ? 0.7 : 0.9, 'seconds' => 3.0];
            }
        }
    }
    $take = new PluckedTake($method, $rate, 23, 1.0);
    $truth = $take->play($strokes, 0.7 + 40 * 60 / $bpm + 1);
    $samples = ($room > 0 ? $take->inRoom($room) : $take)->withNoise(0.002)->normalised()->samples;
    $path = tempnam(sys_get_temp_dir(), 'gravik-feel-') ?: '';
    file_put_contents($path, WavFile::write([$samples], count($samples), $rate));
    $heard = (new StrokeListener())->hear(WavSource::open($path));
    unlink($path);

    return [
        array_map(static fn (float $t): PlayedOnset => new PlayedOnset($t), $truth),
        array_map(static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(), $heard),
    ];
}

function measured(array $taps, ?float $bpm = null, ?float $firstBeat = null): FeelReading
{
    return (new FeelMeter())->measure($taps, Meter::parse('4/4'), $bpm === null ? null : new Tempo($bpm), $firstBeat);
}

it('measures of a recording what the same formulas give from its true onsets, in sounds made in other ways than ours', function (string $method, string $slots, float $bpm, float $share, int $rate, float $room): void {
    [$true, $heard] = heardOf($method, $slots, $bpm, $share, $rate, $room, 0.015);
    $reading = measured($heard);
    $known = measured($heard, $bpm, 0.7);
    $truth = measured($true, $bpm, 0.7);

    expect($reading->tempoBpm)->toEqualWithDelta($bpm, 0.01 * $bpm)
        ->and($known->tempoBpm)->toEqualWithDelta($truth->tempoBpm, 0.001 * $bpm)
        ->and($known->swing?->ratio)->toEqualWithDelta($truth->swing?->ratio, 0.09)
        ->and($known->biasMs)->toEqualWithDelta($truth->biasMs, 4.0)
        ->and($known->spreadMs)->toEqualWithDelta($truth->spreadMs, 2.5);
})->with([
    'delay lines, a shuffle with dead strokes' => ['delay', 'xxcxxxcx', 108.0, 2 / 3, 22050, 0.0],
    'partials, straight with gaps' => ['partials', 'x.xx.xxx', 96.0, 0.5, 22050, 0.0],
    'partials in a room, light swing' => ['partials', 'xxxxxxxx', 118.0, 0.6, 44100, 0.4],
    'modulated, telephone' => ['modulated', 'x.xcx.xx', 126.0, 0.64, 8000, 0.0],
]);

it('measures the same wherever the take begins, and half the tempo where it is played half as fast', function (): void {
    [, $heard] = heardOf('delay', 'xxcxxxcx', 124, 0.62, 22050, 0.0);
    $later = array_map(static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset($tap->t + 41.7), $heard);
    $slower = array_map(static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset(1.4 * $tap->t), $heard);

    expect(measured($later)->tempoBpm)->toEqualWithDelta(measured($heard)->tempoBpm, 1e-6)
        ->and(measured($later)->firstBeat)->toEqualWithDelta(measured($heard)->firstBeat + 41.7, 1e-6)
        ->and(measured($slower)->tempoBpm)->toEqualWithDelta(measured($heard)->tempoBpm / 1.4, 0.01)
        ->and(measured($slower)->swing?->ratio)->toEqualWithDelta(measured($heard)->swing?->ratio, 1e-6);
});

it('keeps its tempo when strokes are struck out or put in by hand', function (): void {
    [, $heard] = heardOf('delay', 'xxxxxxxx', 110, 0.66, 22050, 0.0);
    $fewer = array_values(array_filter(
        $heard,
        static fn (PlayedOnset $tap, int $number): bool => $number % 7 !== 3,
        ARRAY_FILTER_USE_BOTH,
    ));
    $more = [...$heard, new PlayedOnset($heard[10]->t + 0.11), new PlayedOnset($heard[30]->t + 0.07)];
    usort($more, static fn (PlayedOnset $a, PlayedOnset $b): int => $a->t <=> $b->t);

    expect(measured($fewer)->tempoBpm)->toEqualWithDelta(110, 0.3)
        ->and(measured($more)->tempoBpm)->toEqualWithDelta(110, 0.3);
});

/** Syllables: a burst of breath, then a voice at its pitch, short and long. */
function sung(array $times, int $rate): array
{
    $chance = new Randomizer(new Mt19937(5));
    $samples = array_fill(0, (int) ((end($times) + 1) * $rate), 0.0);
    foreach ($times as $number => $t) {
        $at = (int) round($t * $rate);
        $phase = 0.0;
        for ($i = 0; $i < (int) (0.16 * $rate); $i++) {
            $phase += (130 + 8 * ($number % 3)) / $rate;
            $voice = array_sum(array_map(
                static fn (int $partial): float => sin(2 * M_PI * $partial * $phase) / ($partial ** 1.2),
                range(1, 12),
            ));
            $samples[$at + $i] += 0.3 * min(1.0, $i / (0.02 * $rate)) * min(1.0, (0.16 * $rate - $i) / (0.03 * $rate)) * $voice
                + ($i < 0.012 * $rate ? 0.1 * $chance->getInt(-1000, 1000) / 1000 : 0.0);
        }
    }

    return $samples;
}

it('hears the rhythm of sung syllables as well', function (float $share): void {
    $times = [];
    foreach (range(0, 31) as $beat) {
        $times[] = 0.6 + 0.6 * $beat;
        if ($beat % 4 !== 0) {
            $times[] = 0.6 + 0.6 * ($beat + $share);
        }
    }
    $path = tempnam(sys_get_temp_dir(), 'gravik-sung-') ?: '';
    file_put_contents($path, WavFile::write([$samples = sung($times, 16000)], count($samples), 16000));
    $heard = (new StrokeListener())->hear(WavSource::open($path));
    unlink($path);
    $reading = measured(array_map(static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(), $heard));

    expect(count($heard))->toBe(count($times))
        ->and($reading->tempoBpm)->toEqualWithDelta(100, 0.3)
        ->and($reading->swing?->ratio)->toEqualWithDelta($share / (1 - $share), 0.06);
})->with(['straight' => [0.5], 'triplets' => [2 / 3]]);

it('puts beats that fingers tapped along to a whole band where the band plays them', function (): void {
    $song = Examples::breakdown([
        'tempo' => 118,
        'feel' => Examples::swing(1.8),
        'sections' => [['name' => 'A', 'line' => '| Dm | A7 | Gm | A7 | Dm | A7 | Gm | A7 |']],
    ], 'x.xcx.xx')->with(parts: Beginning::blank()->parts);
    $timeline = (new Performer())->perform($song);
    $file = tempnam(sys_get_temp_dir(), 'band');
    $band = new RenderedBand(16000);
    file_put_contents($file, WavFile::write($band->blocks($timeline), $band->samples($timeline), 16000));
    $heard = array_map(
        static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(),
        (new StrokeListener())->hear(WavSource::open($file)),
    );
    unlink($file);
    $beat = 60 / 118;
    $chance = new Randomizer(new Mt19937(8));
    foreach ([-45, 12, 50] as $late) {
        $taps = array_map(
            static fn (int $number): float => $number * $beat + ($late + $chance->getInt(-25, 25)) / 1000,
            range(2, 20),
        );
        $put = BeatTaps::along($taps, $heard);
        $reading = (new FeelMeter())->measure($heard, Meter::parse('4/4'), $put->tempo, $put->firstBeat);

        expect(abs($put->tempo->bpm - 118))->toBeLessThan(0.4)
            ->and(1000 * abs($put->firstBeat + 9 * $put->tempo->beatSeconds() - 11 * $beat))->toBeLessThan(8.0)
            ->and($reading->swing?->ratio)->toEqualWithDelta(1.8, 0.1);
    }
});
