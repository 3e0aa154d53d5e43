<?php

declare(strict_types=1);

use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Swing;
use Gravik\Time\Tempo;

it('tells a swung pair as a ratio and as a share', function (float $ratio, float $share): void {
    expect(Swing::share($ratio))->toEqualWithDelta($share, 1e-12)
        ->and(Swing::ratio($share))->toEqualWithDelta($ratio, 1e-12)
        ->and((new Ruler(Meter::parse('4/4'), new Tempo(90), Feel::fixed($ratio)))->beatsAt(480, 2))->toEqualWithDelta($share, 1e-12)
        ->and(Feel::parse(sprintf('%.6f %%', 100 * $share))->ratio)->toEqualWithDelta($ratio, 1e-3);
})->with([[1.0, 0.5], [2.0, 2 / 3], [3.0, 0.75], [1.5, 0.6], [0.8, 4 / 9]]);
