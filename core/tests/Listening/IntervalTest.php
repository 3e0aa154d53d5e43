<?php

declare(strict_types=1);

use Gravik\Listening\Interval;
use Gravik\Listening\Lock\SlotFigures;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Reports;

it('says between what its figures lie', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x.xxx.xx'));
    mt_srand(11);
    $report = Reports::of(Reports::played($timeline, static fn (): float => 20 + mt_rand(-25, 25)), $timeline);
    $holds = static fn (?Interval $within, float $figure): bool => $within !== null && $within->low <= $figure && $within->high >= $figure
        && $within->high > $within->low;

    expect($holds($report->bias, (float) $report->biasMs))->toBeTrue()->and($holds($report->spread, (float) $report->spreadMs))->toBeTrue()
        ->and(array_map(static fn (SlotFigures $slot): bool => $holds($slot->bias, (float) $slot->biasMs), $report->slots))
        ->not->toContain(false);
});

it('holds the true middle in about 95 of 100 samples, and is the narrower the more there are', function (): void {
    mt_srand(5);
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, 1_000_000) / 1_000_001)) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $widths = $held = [];
    foreach ([12, 96] as $count) {
        foreach (range(1, 120) as $sample) {
            $within = Interval::ofMedian(array_map($normal, range(1, $count)));
            $held[$count][] = $within !== null && $within->low <= 0 && $within->high >= 0 ? 1 : 0;
            $widths[$count][] = $within === null ? 0.0 : $within->high - $within->low;
        }
    }

    expect(array_sum($held[96]) / 120)->toBeGreaterThan(0.88)->toBeLessThan(1.0)
        // Eight times as many strokes: the root of eight as narrow.
        ->and(array_sum($widths[12]) / array_sum($widths[96]))->toEqualWithDelta(sqrt(8), 0.5);
});

it('scolds for nothing that a few scattered strokes may have made, and says that it may be', function (): void {
    $timeline = Reports::timeline(Examples::breakdown([], 'x...x...'));
    $ms = [2.0, -50.0, -4.0, -60.0, 3.0, 10.0, -2.0, -40.0];
    $taps = array_map(
        static fn (array $tap, float $off): array => ['t' => $tap['t'] + $off / 1000] + $tap,
        array_slice(Reports::played($timeline, static fn (): float => 0.0), 0, 8),
        $ms,
    );
    $few = Reports::of($taps, $timeline);
    $slot = $few->slots[1];

    // Beat 3 lies 45 ms early on the whole, but one of its four strokes is late: nobody knows.
    expect($slot->biasMs)->toEqualWithDelta(-45, 0.01)->and($slot->bias?->isBeyond(15))->toBeFalse()
        ->and(Reports::kinds($few))->not->toContain('slot')->toContain('unsure')
        ->and($few->findings[0]->text)->toContain('too few strokes');
});
