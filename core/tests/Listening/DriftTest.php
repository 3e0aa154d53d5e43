<?php

declare(strict_types=1);

use Gravik\Breakdown\Gate;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Performance\PlayedStroke;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Reports;

it('sees a drift as drift and leaves the spread alone', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.x.x.x.'));
    $taps = Reports::played($timeline, static fn (PlayedStroke $stroke, int $round): float => -2.0 * ($round * 4 + $stroke->bar * 2));
    $report = Reports::of($taps, $timeline);
    $drift = array_values(array_filter($report->findings, static fn (Finding $finding): bool => $finding->kind === FindingKind::Drift))[0]
        ?? null;

    expect($report->spreadMs)->toBeLessThan(5)->and($drift?->text)->toContain('ahead of the band by the end');
});

it('follows a player whose tempo moves by three in a hundred, and tells bias, swing and drift apart', function (
    string $slots,
    float $bpm,
    float $share,
    float $biasMs,
    int $bars,
): void {
    $timeline = Reports::timeline(Examples::breakdown(['tempo' => $bpm, 'feel' => Examples::swing(2)], $slots));
    $perMin = $share * $bpm / ($bars * 4 / $bpm);
    $report = Reports::of(Reports::drifting($timeline, $perMin, $biasMs, $bars, 8.0), $timeline, 0.0, new Gate(), $bars);

    expect([$report->missed, $report->extra])->toBe([0, 0])
        ->and($report->biasMs)->toEqualWithDelta($biasMs, 7.0)
        ->and($report->driftBpmPerMin)->toEqualWithDelta($perMin, 0.1 * abs($perMin))
        ->and($report->spreadMs)->toEqualWithDelta(8, 2.5)
        ->and($report->swing === null ? 2.0 : $report->swing->played)->toEqualWithDelta(2.0, 0.2)
        ->and(Reports::kinds($report))->toBe(['drift', 'holds'])
        ->and($report->failed)->toContain(sprintf('the tempo moves by %d ms over the take', round(abs((float) $report->driftMs))));
})->with([
    ['xxxxxxxx', 120, -0.03, -12, 16],
    ['x.xxx.xx', 92, 0.03, 9, 8],
    ['.x.x.x.x', 101, -0.03, 12, 16],
    ['x.x.x.x.', 202, 0.03, -9, 16],
    ['x.xx.xxx', 76, 0.02, 3, 24],
]);

it('tells no drift where there is none, and no figure for one in a short take', function (): void {
    $timeline = Reports::timeline(Examples::breakdown(['tempo' => 110], 'x.xxx.xx'));
    $short = Reports::of(Reports::drifting($timeline, 14.0, 0, 6), $timeline);

    expect(Reports::of(Reports::drifting($timeline, 0.0, 14, 16, 14.0), $timeline)->driftMs)->toBeNull()
        ->and($short->driftMs)->toBeLessThan(-40)->and($short->driftBpmPerMin)->toBeNull();
});
