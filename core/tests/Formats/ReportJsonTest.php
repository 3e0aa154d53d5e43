<?php

declare(strict_types=1);

use Gravik\Formats\ReportJson;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Reports;

it('shows the shares of every ratio of the swing, as it was kept and read again', function (float $planned, float $share): void {
    $timeline = Reports::timeline(Examples::breakdown(['feel' => Examples::swing($planned)], 'xxxxxxxx'));
    $report = Reports::of((new SimulatedPlayer(0, 0, 3, 0, 1))->taps($timeline, 8), $timeline);
    $kept = json_decode((string) json_encode(ReportJson::write($report)), true);
    $shown = ReportJson::shown($kept);

    expect(array_keys($shown['swing_shares']))->toBe(['planned', 'played', 'low', 'high'])
        ->and($shown['swing_shares']['planned'])->toEqualWithDelta($share, 1e-4)
        ->and($shown['swing_shares']['played'])->toEqualWithDelta($share, 0.01);
})->with([[2.0, 2 / 3], [1.5, 0.6], [1.0, 0.5]]);

it('shows no shares where the take swung nothing', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'xxxx', 1));
    $report = Reports::of((new SimulatedPlayer(0, 0, 3, 0, 1))->taps($timeline, 8), $timeline);

    expect(ReportJson::shown(ReportJson::write($report))['swing_shares'])->toBeNull();
});
