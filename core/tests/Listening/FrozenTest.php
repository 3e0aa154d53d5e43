<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Gate;
use Gravik\Formats\WavSource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelPattern;
use Gravik\Listening\Feel\HeardBars;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\LatencyCheck;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\Lock\FirstBeat;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\Offers\FeelOffers;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Listening\Tapped\BeatTaps;
use Gravik\Listening\Tapped\PatternReader;
use Gravik\Listening\Tapped\PatternReading;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\SwingUnit;

/** @return array<string, array{Breakdown, SimulatedPlayer, int}> songs, who plays them, and for how many bars */
function frozenTakes(): array
{
    $swing = static fn (float $ratio, string $unit = 'eighth'): array => ['mode' => 'fixed', 'ratio' => $ratio, 'unit' => $unit];

    return [
        'clean' => [Examples::breakdown(['tempo' => 120], 'x.xcx.xx'), new SimulatedPlayer(0.0, 0.0, 3.0, 0.0, 1), 8],
        'late' => [Examples::breakdown(['tempo' => 100, 'feel' => $swing(2)], 'xxcxx.cx'), new SimulatedPlayer(22.0, 0.0, 8.0, 0.02, 2), 8],
        'early off-beats' => [
            Examples::breakdown(['tempo' => 132, 'feel' => $swing(1.6)], 'x.xxx.xx'),
            new SimulatedPlayer(4.0, -35.0, 6.0, 0.05, 3),
            12,
        ],
        'rushing' => [Examples::breakdown(['tempo' => 92], 'xXxxgxcX'), new SimulatedPlayer(0.0, 0.0, 12.0, 0.0, 4, 4.0, 0.05), 16],
        'sixteenths' => [
            Examples::breakdown(['tempo' => 84, 'feel' => $swing(1.3, 'sixteenth')], 'x.xxcxx.x.xXcx.x', 4),
            new SimulatedPlayer(-6.0, 0.0, 7.0, 0.1, 5),
            8,
        ],
        'off-beats' => [Examples::breakdown(['tempo' => 150], '.x.x.x.x'), new SimulatedPlayer(0.0, 18.0, 5.0, 0.0, 6), 8],
        'dragging' => [Examples::breakdown(['tempo' => 140], 'x.x.x.x.'), new SimulatedPlayer(-8.0, 5.0, 15.0, 0.15, 8, -6.0, 0.1), 24],
        'one late' => [Examples::breakdown(['tempo' => 110], 'xxxx', 1), new SimulatedPlayer(0.0, 60.0, 2.0, 0.0, 9), 8],
        'six' => [Examples::breakdown(['tempo' => 60, 'meter' => '6/8'], 'x..X.x', 3), new SimulatedPlayer(10.0, 0.0, 9.0, 0.3, 7), 8],
    ];
}

it('reports of takes, reads taps and measures feel as it did', function (): void {
    $figures = [];
    foreach (frozenTakes() as $name => [$song, $player, $bars]) {
        $timeline = (new Performer())->perform($song);
        $taps = $player->taps($timeline, $bars);
        foreach ([[null, null, new Gate()], [12.0, 96.0, Gate::advanced()]] as $number => [$latency, $clean, $gate]) {
            $figures["report {$name} {$number}"] = static fn (): mixed => (new LockReporter())
                ->report(Take::read($taps), $timeline, $song->start->feel->unit, $latency, $clean, $gate, $bars);
        }
        $figures["bars 3 to 6 {$name}"] = static fn (): mixed => (new LockReporter())
            ->report(Take::read($taps)->within(4, $timeline, 2), $timeline, SwingUnit::Eighth, bars: 4, from: 2);
        $onsets = array_map(static fn (array $tap): PlayedOnset => new PlayedOnset($tap['t'] + 1.37), $taps['taps'] ?? $taps);
        $figures["feel {$name}"] = static function () use ($onsets, $song): array {
            $reading = (new FeelMeter())->measure($onsets, $song->start->meter);

            return [
                $reading, $reading->tempo(), $reading->feel(), $reading->arm(), $reading->scatterMs(),
                static fn (): mixed => FeelPattern::of($reading),
                static fn (): mixed => HeardBars::counted($reading), static fn (): mixed => FeelOffers::of($reading, Desk::of($song)),
                static fn (): mixed => (new FeelMeter())->measure($onsets, $song->start->meter, $song->start->tempo, 1.37, 2),
            ];
        };
        $figures["tapped {$name}"] = static fn (): array => array_map(
            static fn (int $long): Closure => static fn (): array => array_map(
                static fn (PatternReading $read): array => [$read, $read->hasPair(), $read->words()],
                (new PatternReader($song->start->tempo, $song->start->meter))->read(array_values(array_filter(
                    array_map(static fn (array $tap): PlayedOnset => new PlayedOnset($tap['t']), $taps['taps'] ?? $taps),
                    static fn (PlayedOnset $tap): bool => $tap->t < $long * 4 * $song->start->tempo->beatSeconds() - 0.05,
                )), $long),
            ),
            [1, 2],
        );
        $figures["first beat {$name}"] = static fn (): float => FirstBeat::of($timeline, $onsets);
    }
    $clicks = array_map(static fn (int $click): float => 0.5 * $click, range(0, 15));
    foreach ([0.021, 0.18, -0.03, 0.9] as $late) {
        $figures["latency {$late}"] = static fn (): mixed => LatencyCheck::of($clicks, array_map(
            static fn (float $click): float => $click + $late + (fmod($click * 7, 3) - 1) / 250,
            $clicks,
        ));
    }
    $values = [3.0, -1.5, 4.25, 0.0, 8.0, -20.0, 2.5, 2.5, 1.0];
    $figures['statistics'] = static fn (): array => [
        Statistics::median($values), Statistics::median([1.0, 2.0]), Statistics::spread($values), Statistics::line(range(0, 8), $values),
        Statistics::atLeast(7, 9, 0.5), Statistics::atLeast(1, 4, 0.2), Statistics::interval($values),
    ];
    foreach ([[0.0, 0.5, 1.0, 1.5, 2.0, 2.51, 3.0], [0.1, 0.7, 1.3, 1.9], [0.0, 0.5, 1.5, 2.0, 2.5], [0.0]] as $number => $beats) {
        $figures["beats {$number}"] = static fn (): BeatTaps => BeatTaps::of($beats);
    }
    Frozen::hold('listening', $figures, 4);
});

it('hears takes as it did', function (): void {
    $figures = [];
    foreach (frozenTakes() as $name => [$song, $player, $bars]) {
        $figures[$name] = static function () use ($song, $player): array {
            $timeline = (new Performer())->perform($song);
            $path = tempnam(sys_get_temp_dir(), 'gravik-frozen-') ?: '';
            file_put_contents($path, (new SimulatedTake($timeline, $player->play($timeline, 4)))->wav(22050));
            $hearing = (new StrokeListener())->hearAll(WavSource::open($path));
            unlink($path);
            $onsets = array_map(static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(), $hearing->strokes);

            return [
                $hearing->strokes, $hearing->tuning,
                static fn (): mixed => (new LockReporter())->report(
                    Take::of($onsets, SimulatedTake::LEAD),
                    $timeline,
                    SwingUnit::Eighth,
                    bars: 4,
                ),
            ];
        };
    }
    Frozen::hold('hearing', $figures, 3);
});
