<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\Internal\BeatGrid;
use Gravik\Listening\Feel\Internal\BeatTracker;
use Gravik\Listening\Feel\Internal\ClockTracker;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\PluckedTake;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return list<PlayedOnset> a bar's slots over some bars, scattered evenly by so many ms, a few left out */
function strokesOf(
    string $slots,
    int $grid,
    float $bpm,
    Feel $feel,
    int $bars = 10,
    int $scatter = 12,
    float $lead = 0.7,
    float $missed = 0.03,
): array {
    $chance = new Randomizer(new Mt19937(7));
    $ruler = new Ruler(Meter::parse('4/4'), new Tempo($bpm), $feel);
    $taps = [];
    foreach (range(0, $bars - 1) as $bar) {
        foreach (str_split($slots) as $slot => $sign) {
            if ($sign !== '.' && $chance->getInt(0, 999) >= 1000 * $missed) {
                $taps[] = new PlayedOnset($lead + $ruler->secondsAt(
                    $bar * 3840 + $slot * intdiv(960, $grid),
                    $grid,
                ) + $chance->getInt(-$scatter, $scatter) / 1000);
            }
        }
    }

    return $taps;
}

it('finds tempo, grid and swing of strokes of which it knows nothing', function (string $slots, int $grid, float $bpm, float $ratio): void {
    $unit = $grid === 4 ? SwingUnit::Sixteenth : SwingUnit::Eighth;
    $reading = (new FeelMeter())->measure(strokesOf($slots, $grid, $bpm, Feel::fixed($ratio, $unit)), Meter::parse('4/4'));

    expect($reading->tempoBpm)->toEqualWithDelta($bpm, 0.004 * $bpm)
        ->and($reading->grid)->toBe($grid)
        ->and($reading->swing?->ratio ?? $ratio)->toEqualWithDelta($ratio, 0.15)
        ->and($reading->unit)->toBe(in_array($grid, [2, 4], true) ? $unit : null)
        ->and($reading->spreadMs)->toBeBetween(3.0, 11.0);
})->with([
    'straight eighths with gaps' => ['x.xx.xxx', 2, 104, 1.0],
    'a shuffle' => ['xxxxxxxx', 2, 118, 2.0],
    'light swing' => ['x.xxx.xx', 2, 132, 1.4],
    'quarters' => ['xxxx', 1, 126, 1.0],
    'straight sixteenths' => ['x..xx.xxx.xx..x.', 4, 92, 1.0],
    'sixteenths that lean' => ['x.xxx.xxx.xxx.xx', 4, 88, 1.5],
    'triplets' => ['x.xxxxx.xxxx', 3, 84, 1.0],
]);

it('says where the strokes lie when tempo and first beat are known, and leaves the bias open when not', function (): void {
    $taps = array_map(
        static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset($tap->t + 0.018),
        strokesOf('x.xx.xxx', 2, 104, Feel::fixed(1.8), 16),
    );
    $known = (new FeelMeter())->measure($taps, Meter::parse('4/4'), new Tempo(104), 0.7);

    expect($known->biasMs)->toEqualWithDelta(18, 3.5)
        ->and((new FeelMeter())->measure($taps, Meter::parse('4/4'))->biasMs)->toBeNull()
        ->and(array_column($known->slots, 'name'))->toBe(['1', '2', '2&', '3&', '4', '4&'])
        ->and($known->slots[3]->pushed)->toBe(0.0)
        ->and($known->firstBeat)->toBe(0.7);
});

it('tells every beat up to the one after the last stroke', function (): void {
    $taps = array_map(static fn (int $beat): PlayedOnset => new PlayedOnset(1.0 + 0.5 * $beat), range(0, 10));
    $reading = (new FeelMeter())->measure($taps, Meter::parse('4/4'));

    expect($reading->beats)->toEqualWithDelta(array_map(static fn (int $beat): float => 1.0 + 0.5 * $beat, range(0, 11)), 1e-6);
});

it('measures off-beats played alone against the beat that is known', function (): void {
    $reading = (new FeelMeter())->measure(strokesOf('.x.x.x.x', 2, 110, Feel::fixed(2.0)), Meter::parse('4/4'), new Tempo(110), 0.7, 2);

    expect($reading->swing?->ratio)->toEqualWithDelta(2.0, 0.1);
});

it('hears a push where the beat after it stays empty, and how the tempo moves', function (): void {
    $taps = array_map(
        static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset($tap->t - 6 * $tap->t ** 2 / (120 * 104)),
        strokesOf('..x.x..x', 2, 104, Feel::straight(), 24, 3, 0.0, 0.0),
    );
    $reading = (new FeelMeter())->measure($taps, Meter::parse('4/4'), new Tempo(104), 0.0);
    $pushed = array_column($reading->slots, 'pushed', 'name');

    expect($pushed['4&'])->toBeGreaterThan(0.9)
        ->and($pushed['2'])->toBe(0.0)
        ->and($reading->driftBpmPerMin)->toEqualWithDelta(6.0, 1.5)
        ->and($reading->barTempos[23])->toBeGreaterThan($reading->barTempos[0] + 3);
});

it('lays strokes on the grid as cheaply as any other way does', function (): void {
    $chance = new Randomizer(new Mt19937(4));
    $grid = new BeatGrid(2, SwingUnit::Eighth, 0.6);
    foreach (range(1, 12) as $case) {
        $times = [0.0];
        foreach (range(1, 6) as $stroke) {
            $times[] = end($times) + $chance->getInt(120, 900) / 1000;
        }
        $cheapest = INF;
        for ($choice = 0; $choice < 2 ** 7; $choice++) {
            $cost = ($choice & 1) === 0 ? 0.0 : 0.6;
            for ($number = 1; $number < 7; $number++) {
                $apart = (($choice >> $number & 1) - ($choice >> $number - 1 & 1)) * 0.6 + 0.0;
                $gap = ($times[$number] - $times[$number - 1]) / 0.5;
                $prices = [];
                for ($beats = 0; $beats < 4; $beats++) {
                    $expected = $beats + $apart;
                    if ($expected > 0.01 || ($beats === 0 && $apart === 0.0)) {
                        $prices[] = (($gap - $expected) * 0.5) ** 2 / (2 * (2 * 0.012 ** 2 + (0.02 * $expected * 0.5) ** 2));
                    }
                }
                $cost += min(8.0, ...$prices) + 0.04 * ($choice >> $number & 1);
            }
            $cheapest = min($cheapest, $cost);
        }
        expect((new BeatTracker())->track($times, 0.5, $grid)['cost'])->toEqualWithDelta($cheapest, 1e-9);
    }
});

it('lays strokes on the grid of a known beat as cheaply as any other way does', function (): void {
    $chance = new Randomizer(new Mt19937(8));
    $grid = new BeatGrid(2, SwingUnit::Eighth, 0.6);
    $position = static fn (int $place): float => intdiv($place, 2) + ($place % 2) * 0.6;
    foreach (range(1, 6) as $case) {
        $times = [0.5];
        foreach (range(1, 4) as $stroke) {
            $times[] = end($times) + $chance->getInt(120, 700) / 1000;
        }
        $cheapest = INF;
        for ($choice = 0; $choice < 12 ** 5; $choice++) {
            $places = array_map(static fn (int $number): int => intdiv($choice, 12 ** $number) % 12, range(0, 4));
            $cost = (($times[0] - 0.5 * $position($places[0])) / 0.012) ** 2 / 2;
            for ($number = 1; $number < 5 && $cost < $cheapest; $number++) {
                $expected = $position($places[$number]) - $position($places[$number - 1]);
                $gap = ($times[$number] - $times[$number - 1]) / 0.5;
                $cost += $expected < 0
                    ? INF
                    : min(8.0, (($gap - $expected) * 0.5) ** 2 / (2 * (2 * 0.012 ** 2 + (0.02 * $expected * 0.5) ** 2)))
                    + 0.04 * ($places[$number] % 2) + min(0.6, (($times[$number] - 0.5 * $position($places[$number])) / 0.15) ** 2);
            }
            $cheapest = min($cheapest, $cost);
        }
        expect((new ClockTracker())->track($times, $grid, 0.0, 0.5)['cost'])->toEqualWithDelta($cheapest, 1e-9);
    }
});

it('does not slip into the next slot for good where somebody who plays to a known beat stumbles', function (): void {
    $slipped = [];
    foreach (range(9, 40) as $stumble) {
        $taps = array_map(
            static fn (int $number): PlayedOnset => new PlayedOnset(0.7 + 0.25 * $number + ($number === $stumble ? 0.125 : 0.0)),
            range(0, 63),
        );
        $reading = (new FeelMeter())->measure($taps, Meter::parse('4/4'), new Tempo(120), 0.7, 2);
        if (abs((float) $reading->biasMs) > 5 || $reading->strokes[63]->slot !== 7) {
            $slipped[] = $stumble;
        }
    }
    expect($slipped)->toBe([]);
});

it('refuses to guess from a handful of strokes', function (): void {
    (new FeelMeter())->measure(strokesOf('x...', 1, 100, Feel::straight(), 5), Meter::parse('4/4'));
})->throws(ListeningException::class, 'too few to measure a feel');

it('measures how a recording is tuned, and names what lies nearest', function (float $cents, int $semitones, string $nearest): void {
    $take = new PluckedTake('partials', 22050, 3);
    $take->play(
        array_map(
            static fn (int $i): array => [
                't' => 0.5 + 0.5 * $i,
                'frets' => [[0, 2, 2, 1, 0, 0], [null, 5, 7, 7, 6, 5]][intdiv($i, 3) % 2],
                'up' => false,
                'sweepMs' => 12.0,
                'dead' => $i % 4 === 3,
                'level' => 0.8,
                'seconds' => 3.0,
            ],
            range(0, 9),
        ),
        6.0,
    );
    $samples = $take->normalised()->samples;
    $path = tempnam(sys_get_temp_dir(), 'gravik-tuned-') ?: '';
    // Played back slower, a recording sounds lower.
    file_put_contents($path, WavFile::write([$samples], count($samples), (int) round(22050 * 2 ** (($cents + 100 * $semitones) / 1200))));
    $tuning = (new StrokeListener())->hearAll(WavSource::open($path))->tuning;
    unlink($path);

    expect($tuning?->cents)->toEqualWithDelta($cents, 3.0)
        ->and($tuning?->nearest()[0]->slug)->toBe($nearest);
})->with([[-28.0, 0, 'standard'], [41.0, 0, 'standard'], [12.0, -1, 'half-down'], [0.0, -2, 'whole-down']]);

it('hears even strokes as halves of a beat where the hand is known to go up on every other one; without that they may be beats', function (): void {
    $timeline = (new Performer())->perform(Examples::breakdown(['tempo' => 96], 'xxxxxxxx'));
    $played = (new SimulatedPlayer(-15, 0, 10, 0.02, 2))->play($timeline, 8);
    $tempo = static fn (callable $way): float => (new FeelMeter())->measure(
        array_map(static fn (PlayedStroke $stroke): PlayedOnset => new PlayedOnset($stroke->t, $way($stroke)), $played),
        Meter::parse('4/4'),
    )->tempoBpm;

    expect($tempo(static fn (PlayedStroke $stroke): ?Direction => $stroke->stroke->direction))->toEqualWithDelta(96.0, 0.5)
        ->and($tempo(static fn (): ?Direction => null))->toEqualWithDelta(192.0, 1.0);
});
