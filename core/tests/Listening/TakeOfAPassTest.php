<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Performance\Timeline;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Reports;

/** Two passes of four bars: eighths in the first, the off-beats alone in the second, whose third bar is free. */
function twoPassTune(): Timeline
{
    $pattern = static fn (string $id, string $slots): array => ['id' => $id, 'name' => '', 'meter' => '4/4', 'school' => 'pendulum']
        + (new PatternJson())->write(Examples::pattern($slots));

    return Reports::timeline((new BreakdownJson())->read([
        'start' => ['key' => 'D minor', 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing(2)],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm | A7 | Dm | A7 |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'patterns' => [$pattern('p1', 'xxxxxxxx'), $pattern('p2', '.x.x.x.x')],
        'passes' => [
            ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
            ['id' => '2', 'name' => '', 'notes' => '', 'cells' => [
                ['part' => 'guitar', 'section' => 'a', 'pattern' => 'p2'],
                ['part' => 'guitar', 'section' => 'a', 'bars' => [2], 'texture' => 'free'],
            ]],
        ],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full()));
}

it('holds a take to the pass it is of, and nobody to bars of free comping', function (): void {
    $timeline = twoPassTune();
    $start = $timeline->secondsOfBars(4);
    $taps = [];
    foreach ($timeline->strokes as $stroke) {
        if ($stroke->bar >= 4 && $stroke->bar !== 6) {
            $taps[] = ['t' => $stroke->t - $start + 0.012, 'key' => 'up'];
        }
    }
    // In the free bar something else is played, as one likes.
    $taps[] = ['t' => $timeline->secondsOfBars(6) - $start + 0.1, 'key' => 'down'];
    $taps[] = ['t' => $timeline->secondsOfBars(6) - $start + 0.9, 'key' => 'down'];
    usort($taps, static fn (array $a, array $b): int => $a['t'] <=> $b['t']);
    $report = Reports::of($taps, $timeline, bars: 4, from: 4);

    expect([$report->planned, $report->matched, $report->missed, $report->extra])->toBe([12, 12, 0, 0])
        ->and($report->biasMs)->toEqualWithDelta(12.0, 0.01)
        ->and(array_values(array_unique(array_map(static fn ($hit): int => $hit->bar, $report->hits))))->toBe([4, 5, 7])
        // Held against the first pass the same take is another part.
        ->and(Reports::of($taps, $timeline, bars: 4)->missed)->toBeGreaterThan(10);
});

it('misses what was not played in the bars that were asked for, wherever they begin', function (): void {
    $timeline = twoPassTune();
    $start = $timeline->secondsOfBars(4);
    $taps = array_values(array_filter(array_map(
        static fn ($stroke): ?array => $stroke->bar === 4 || $stroke->bar === 5 ? ['t' => $stroke->t - $start] : null,
        $timeline->strokes,
    )));
    $report = Reports::of($taps, $timeline, bars: 4, from: 4);

    expect([$report->planned, $report->matched, $report->missed])->toBe([12, 8, 4]);
});
