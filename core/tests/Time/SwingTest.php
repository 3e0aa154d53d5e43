<?php

declare(strict_types=1);

use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Swing;
use Gravik\Time\Tempo;
use Gravik\Time\Ticks;

it('tells a swung pair as a ratio and as a share', function (float $ratio, float $share): void {
    expect(Swing::share($ratio))->toEqualWithDelta($share, 1e-12)
        ->and(Swing::ratio($share))->toEqualWithDelta($ratio, 1e-12)
        ->and((new Ruler(Meter::parse('4/4'), new Tempo(90), Feel::fixed($ratio)))->beatsAt(480, 2))->toEqualWithDelta($share, 1e-12)
        ->and(Feel::parse(sprintf('%.6f %%', 100 * $share))->ratio)->toEqualWithDelta($ratio, 1e-3);
})->with([[1.0, 0.5], [2.0, 2 / 3], [3.0, 0.75], [1.5, 0.6], [0.8, 4 / 9]]);

it('warns of short notes below 80 ms and of none above', function (float $bpm, bool $warns): void {
    // Dotted swing: the short note is a quarter of the beat.
    expect(Feel::fixed(3)->tooShortMs(new Tempo($bpm)) !== null)->toBe($warns);
})->with([[187, false], [188, true]]);

it('has 960 ticks to a quarter and four quarters to a whole note', function (): void {
    expect([Ticks::PER_QUARTER, Ticks::PER_WHOLE_NOTE])->toBe([960, 3840]);
});
