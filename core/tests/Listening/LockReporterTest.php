<?php

declare(strict_types=1);

use Gravik\Breakdown\Gate;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\SlotFigures;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Reports;
use Gravik\Time\Swing;

it('finds nothing off in a perfect take', function (): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing(2)], 'x.xxx.xx'));
    $report = Reports::of(Reports::played($timeline, static fn (): float => 0.0), $timeline);

    expect([$report->planned, $report->matched, $report->missed, $report->extra])->toBe([96, 96, 0, 0])
        ->and($report->biasMs)->toEqualWithDelta(0, 0.01)->and($report->spreadMs)->toEqualWithDelta(0, 0.01)
        ->and($report->swing?->played)->toEqualWithDelta(2.0, 0.001)
        ->and($report->failed)->toBe([])->and(Reports::kinds($report))->toBe(['holds']);
});

it('keeps a constant shift as placement, in words and in the bias', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.xxx.xx'));
    $report = Reports::of(Reports::played($timeline, static fn (): float => 32.0), $timeline);

    expect($report->biasMs)->toEqualWithDelta(32, 0.01)->and($report->spreadMs)->toEqualWithDelta(0, 0.01)
        ->and($report->matched)->toBe(96)
        ->and($report->findings[0]->kind->value)->toBe('placement')->and($report->findings[0]->text)->toContain('32 ms late')
        ->and($report->failed)->toHaveCount(1);
});

it('takes off the latency that was measured, and says where none was', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.xxx.xx'));
    $taps = Reports::played($timeline, static fn (): float => 85.0);

    expect(Reports::of($taps, $timeline, 80.0)->biasMs)->toEqualWithDelta(5, 0.01)
        ->and(Reports::kinds(Reports::of($taps, $timeline, null)))->toBe(['device', 'holds'])
        ->and(Reports::of($taps, $timeline, null)->findings[0]->text)->toContain('never measured')->not->toContain(' ms');
});

it('measures the swing that was played and says it in agreeing figures', function (float $planned, float $offBeatMs, float $bpm): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing($planned), 'tempo' => $bpm], 'xxxxxxxx'));
    $off = static fn (PlayedStroke $stroke): bool => $stroke->tick % 960 === 480;
    $report = Reports::of(
        Reports::played($timeline, static fn (PlayedStroke $stroke): float => $off($stroke) ? $offBeatMs : 0.0),
        $timeline,
    );
    $p = $planned / (1 + $planned) + $offBeatMs / (60000 / $bpm);
    $finding = $report->findings[0];

    expect($report->swing?->played)->toEqualWithDelta($p / (1 - $p), 0.002)
        ->and($finding->kind->value)->toBe('swing')
        ->and($finding->text)
        ->toContain(sprintf(
            '%d ms early at %d: %d %%',
            abs($offBeatMs),
            $bpm,
            round(100 * $p),
        ))->toContain(sprintf('wants %d %%', round(100 * $planned / (1 + $planned))))
        ->and($finding->slots)->toBe([1, 3, 5, 7])
        ->and($finding->stage)->toBe(Stage::DampedRhythm)->and($finding->tempo)->toBe((int) round($bpm * 2 / 3));
})->with([[2.0, -38.0, 126], [1.5, -40.0, 100], [1.0, -45.0, 92]]);

it('holds upbeats against the beats where no pair is planned', function (string $slots): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing(2), 'tempo' => 60], $slots));
    $report = Reports::of(
        Reports::played($timeline, static fn (PlayedStroke $stroke): float => $stroke->tick % 960 === 480 ? -1000 * (2 / 3 - 0.6) : 0.0),
        $timeline,
    );

    expect($report->swing?->played)->toEqualWithDelta(1.5, 0.001);
})->with(['upbeats alone' => ['.x.x.x.x'], 'upbeats and chucks on 2 and 4' => ['.xcx.xcx']]);

it('says what upbeats alone show once, and of a recording without the band only what it can know', function (): void {
    $timeline = Reports::timeline(Examples::breakdown(['tempo' => 100], '.x.x.x.x'));
    $late = Reports::played($timeline, static fn (): float => 48.0);
    $strokes = array_map(
        static fn (array $tap): PlayedOnset => new PlayedOnset($tap['t'], levelDb: 0.0, seconds: 0.2, muted: false),
        $late,
    );
    $unplaced = (new LockReporter())->report(Take::placed($strokes, $timeline), $timeline, Gravik\Time\SwingUnit::Eighth);

    expect(Reports::kinds(Reports::of($late, $timeline)))->toContain('swing')->not->toContain('placement')
        ->and($unplaced->anchored)->toBeFalse()->and($unplaced->swing)->toBeNull()
        ->and($unplaced->biasMs)->toEqualWithDelta(0.0, 1.0)->and(Reports::kinds($unplaced))->not->toContain('placement');
});

it('measures no swing where the grid has no pairs', function (array $fields, string $slots, int $grid): void {
    $timeline = Reports::timeline(Examples::breakdown($fields, $slots, $grid));

    expect(Reports::of(Reports::played($timeline, static fn (): float => 3.0), $timeline)->swing)->toBeNull();
})->with([[[], 'xxxx', 1], [['meter' => '12/8'], 'x.xx.xx.xx.x', 3], [[], 'xxxxxxxxxxxx', 3]]);

it('tells scatter from one slot that is off', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.x.x.x.'));
    $loose = Reports::of(
        Reports::played(
            $timeline,
            static fn (PlayedStroke $stroke, int $round, int $index): float => [-45.0, 45.0, -35.0, 35.0, 0.0][($index * 3 + $round) % 5],
        ),
        $timeline,
    );
    $third = Reports::of(
        Reports::played($timeline, static fn (PlayedStroke $stroke): float => $stroke->slot === 4 ? 40.0 : 1.0),
        $timeline,
    );
    $slot = array_values(array_filter($third->slots, static fn (SlotFigures $figures): bool => $figures->biasMs > 15));

    expect($loose->spreadMs)->toBeGreaterThan(30)->and(Reports::kinds($loose)[0])->toBe('looseness')
        ->and($third->spreadMs)->toBeLessThan(1)->and(Reports::kinds($third))->toBe(['slot', 'holds'])
        ->and($third->findings[0]->text)->toContain('The 3 comes 40 ms late')
        ->and($slot)->toHaveCount(1)->and($slot[0]->name)->toBe('3');
});

it('counts missed and extra strokes by slot, and forgets bars after the last stroke', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.x.x.x.'));
    $taps = Reports::played(
        $timeline,
        static fn (PlayedStroke $stroke, int $round): ?float => $stroke->slot === 6 && $round < 4 ? null : 0.0,
        5,
    );
    foreach ([0, 1, 2] as $bar) {
        $taps[] = 2.0 * $bar + 0.75;
    }
    $report = Reports::of($taps, $timeline);

    expect([$report->planned, $report->missed, $report->extra])->toBe([40, 8, 3])
        ->and(array_column(
            array_map(static fn (SlotFigures $slot): array => ['slot' => $slot->name, 'missed' => $slot->missed], $report->slots),
            'missed',
            'slot',
        ))
        ->toMatchArray(['4' => 8, '1' => 0])
        ->and(Reports::kinds($report))->toContain('missed')
        ->and($report->findings[0]->text)->toContain('8 of 40 strokes are missing, most often the 4');
});

it('ends with a closing stroke, and counts the bars that were asked for', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.xxx.xx'));
    $four = Reports::played($timeline, static fn (): float => 4.0, 2);
    $closed = Reports::of([...$four, 8.03], $timeline, 0.0, new Gate(), 4);
    $unasked = Reports::of([...$four, 7.97], $timeline);
    $half = Reports::of(array_slice($four, 0, 12), $timeline, 0.0, new Gate(), 4);
    $goesOn = Reports::of([...$four, 8.0, 9.0, 9.5, 10.0, 10.5], $timeline, 0.0, new Gate(), 4);

    expect([$closed->planned, $closed->missed, $closed->extra])->toBe([24, 0, 0])->and($closed->failed)->toBe([])
        ->and([$unasked->planned, $unasked->missed, $unasked->extra])->toBe([24, 0, 0])
        ->and([$half->planned, $half->missed])->toBe([24, 12])
        ->and($half->findings[0]->text)->toContain('stops before its end: 12 of 24')
        ->and($half->failed)->not->toBe([])
        ->and($goesOn->matched)->toBeGreaterThan(26);
});

it('names the cause once: late together, a flat swing and a device that was never measured', function (): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing(2), 'tempo' => 100], 'xxxxxxxx'));
    $taps = Reports::played($timeline, static fn (PlayedStroke $stroke): float => 60.0 - ($stroke->tick % 960 === 480 ? 45.0 : 0.0));
    $unmeasured = Reports::of($taps, $timeline, null);
    $oneSlot = Reports::of(
        Reports::played($timeline, static fn (PlayedStroke $stroke): float => $stroke->slot === 4 ? 95.0 : 60.0),
        $timeline, null,
    );

    expect(Reports::kinds($unmeasured))->toBe(['device', 'swing', 'holds'])
        ->and(Reports::kinds(Reports::of($taps, $timeline)))->toContain('placement')->toContain('swing')->not->toContain('slot')
        ->and(Reports::kinds($oneSlot))->toContain('slot')
        ->and($oneSlot->findings[1]->text)->toContain('35 ms late against your other strokes');
});

it('claims no other tempo while the take meets its plan', function (array $fields, string $slots, int $grid): void {
    $timeline = Reports::timeline(Examples::breakdown($fields, $slots, $grid));
    $loose = Reports::played(
        $timeline,
        static fn (PlayedStroke $stroke, int $round, int $index): float => [-38.0, 40.0, 8.0, -44.0, 36.0][($index * 2 + $round) % 5],
        6,
    );

    expect(Reports::kinds(Reports::of($loose, $timeline)))->not->toContain('tempo');
})->with([
    'thirds in twelve' => [['meter' => '12/8', 'tempo' => 60], 'x.xx.xx.xx.x', 3],
    'sparse sixteenths' => [['tempo' => 76], 'x..x..x.x..x..x.', 4],
]);

it('notices strokes that went the other way', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.xxx.xx'));
    $taps = array_map(
        static fn (array $tap, int $index): array => ['t' => $tap['t'], 'key' => $index % 4 === 0 ? 'up' : $tap['key']],
        Reports::played($timeline, static fn (): float => 0.0),
        range(0, 95),
    );
    $report = Reports::of($taps, $timeline);

    expect([$report->directionsTold, $report->directionsWrong])
        ->toBe([96, count(array_filter($report->hits, static fn ($hit): bool => $hit->directionRight === false))])
        ->and(Reports::kinds($report))->toContain('direction');
});

it('recovers what the simulated player was told to do', function (int $seed): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing(2), 'tempo' => 126], 'xxxxxxxx'));
    $taps = (new SimulatedPlayer(12, -30, 9, 0.05, $seed))->taps($timeline, 32);
    $report = Reports::of($taps, $timeline);
    $p = 2 / 3 - 0.030 / (60 / 126);

    expect($report->missed)->toBe($report->planned - count($taps) + $report->extra)
        ->and($report->spreadMs)->toEqualWithDelta(9, 1.5)
        ->and(100 * Swing::share($report->swing->played ?? 1))->toEqualWithDelta(100 * $p, 1.0)
        ->and($report->swing?->low)->toBeLessThanOrEqual($report->swing?->played)
        ->and($report->extra)->toBe(0);
    foreach ($report->slots as $slot) {
        expect($slot->biasMs)->toEqualWithDelta($slot->offBeat ? -18 : 12, 6.5);
    }
})->with([1, 2, 3, 4, 5]);

it('plays the same take for the same seed', function (): void {
    $timeline = Reports::timeline(Examples::breakdown());
    expect((new SimulatedPlayer(5, 0, 10, 0.1, 3))->taps($timeline, 8))->toBe((new SimulatedPlayer(5, 0, 10, 0.1, 3))->taps($timeline, 8))
        ->not->toBe((new SimulatedPlayer(5, 0, 10, 0.1, 4))->taps($timeline, 8));
});

it('says when there is too little to judge', function (array $taps, string $text): void {
    $report = Reports::of($taps, Reports::timeline(Examples::breakdown()));

    expect(Reports::kinds($report))->toBe(['too-few'])
        ->and($report->findings[0]->text)->toContain($text)
        ->and($report->failed)->not->toBe([]);
})->with([[[], 'No strokes were heard'], [[0.0, 0.5, 1.0], 'Only 3 of your 3 strokes']]);

it('says at most three things that are off and one that holds, the worst first', function (): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing(2)], 'xxxxxxxx'));
    $report = Reports::of(
        Reports::played(
            $timeline,
            static fn (PlayedStroke $stroke, int $round, int $index): ?float => $index % 7 === 0
                ? null
                : ($stroke->slot % 2 === 1 ? -60.0 : [30.0, -30.0, 4.0][$round % 3]),
        ),
        $timeline,
    );
    $severities = array_map(
        static fn (Finding $finding): float => $finding->severity,
        array_filter($report->findings, static fn (Finding $finding): bool => $finding->kind->value !== 'holds'),
    );
    $sorted = $severities;
    rsort($sorted);

    expect(count($severities))->toBeLessThanOrEqual(3)->and($severities)->toBe($sorted)->and(min($severities))->toBeGreaterThan(1);
});

it('lets the teacher set a stricter gate', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.x.x.x.'));
    $taps = (new SimulatedPlayer(0, 0, 15, 0, 9))->taps($timeline, 32);

    expect(Reports::of($taps, $timeline)->failed)->toBe([])
        ->and(Reports::of($taps, $timeline, 0.0, Gate::advanced())->failed)->toHaveCount(1);
});

it('refuses to judge against nothing, and a delay no device has', function (callable $judge): void {
    expect($judge)->toThrow(ListeningException::class);
})->with([
    'no strokes' => [static fn () => Reports::of([1.0], Reports::timeline(Examples::breakdown([], '........')))],
    'no chords' => [static fn () => Reports::of(
        [1.0],
        Reports::timeline(Examples::breakdown(['sections' => [['name' => 'A', 'line' => '']]])),
    )],
    'a second of delay and more' => [static fn () => Reports::of([1.0], Reports::timeline(Examples::breakdown()), 1001)],
    'a delay of half a second before it sounds' => [static fn () => Reports::of([1.0], Reports::timeline(Examples::breakdown()), -501)],
]);

it('takes every delay that a device may have', function (float $ms): void {
    expect(Reports::of([1.0], Reports::timeline(Examples::breakdown()), $ms)->hits)->toBeArray();
})->with([-500.0, 1000.0]);

it('says so when a take keeps another tempo, or is of another part', function (): void {
    $asked = Reports::timeline(Examples::breakdown(['tempo' => 120], 'x.xx.xxx'));
    $faster = Reports::timeline(Examples::breakdown(['tempo' => 132], 'x.xx.xxx'));
    $sixteenths = array_map(static fn (int $number): array => ['t' => 0.125 * $number], range(0, 191));
    $player = new Gravik\Simulation\SimulatedPlayer(0, 0, 5, 0, 3);

    $tempo = Reports::of($player->taps($faster, 12), $asked)->findings;
    $part = Reports::of($sixteenths, $asked)->findings;
    $paces = array_map(
        static fn (float $bpm): Finding => Reports::of(
            $player->taps(Reports::timeline(Examples::breakdown(['tempo' => $bpm], 'x.xx.xxx')), 6),
            $asked,
        )->findings[0],
        [60.0, 240.0],
    );
    expect($tempo)->toHaveCount(1)
        ->and($tempo[0]->text)->toContain('keeps 132 beats a minute, and 120 were asked')
        ->and($part[0]->kind->value)->toBe('other')
        ->and($paces[0]->text)->toStartWith('This take plays the part at half the tempo: about 60 beats a minute where 120 were asked.')
        ->and($paces[1]->text)->toStartWith('This take plays the part at double the tempo');
});

it('holds each stage to its own gate, and shows a drift bar by bar', function (): void {
    $breakdown = Examples::breakdown(
        ['tempo' => 120, 'gates' => [['stage' => 2, 'biasMs' => 40, 'spreadMs' => 50, 'swingPoints' => 10, 'missedShare' => 0.1]]],
        'xxxxxxxx',
    );
    $timeline = Reports::timeline($breakdown);
    $late = (new Gravik\Simulation\SimulatedPlayer(38, 0, 3, 0, 3, 1))->taps($timeline, 8);

    expect(Reports::of($late, $timeline, 0.0, $breakdown->gate(StageKey::parse('damped-rhythm')))->failed)->toBe([])
        ->and(Reports::of($late, $timeline, 0.0, $breakdown->gate(StageKey::parse('slow-and-even')))->failed)->not->toBe([])
        ->and(array_keys(Reports::of($late, $timeline)->barsMs()))->toBe(range(0, 7))
        ->and(Reports::of($late, $timeline)->barsMs()[7])->toBeLessThan(Reports::of($late, $timeline)->barsMs()[0] - 4);
});

it('hears planned strokes within twenty milliseconds as one', function (float $apartMs, int $onsets): void {
    $pattern = [
        'ticks' => 3840,
        'streams' => [
            ['name' => 'bass', 'strokes' => [['at' => 0, 'division' => 1, 'zone' => 'bass']]],
            ['name' => 'brushes', 'strokes' => [['at' => 0, 'division' => 1, 'zone' => 'high', 'offsetMs' => $apartMs]]],
        ],
    ];
    $timeline = Reports::timeline(Examples::breakdown(['pattern' => $pattern]));

    expect(Gravik\Listening\Lock\Plan::ofBars($timeline, 1)->onsets)->toHaveCount($onsets);
})->with([[19.0, 1], [21.0, 2]]);
