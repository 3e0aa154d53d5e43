<?php

declare(strict_types=1);

use Gravik\Simulation\Samples;

it('brings a sound to its level and fades its last ten milliseconds evenly', function (): void {
    $shaped = Samples::shaped(array_fill(0, 2000, -0.25), 0.8, 8000);

    // 10 ms at 8,000 samples a second are 80: up to them all is at its level, the sign kept; half way through them half of it is.
    expect(count($shaped))->toBe(2000)
        ->and(array_unique(array_slice($shaped, 0, 1921)))->toEqualWithDelta([-0.8], 1e-12)
        ->and($shaped[1921])->toEqualWithDelta(-0.8 * 79 / 80, 1e-12)
        ->and($shaped[1960])->toEqualWithDelta(-0.4, 1e-12)
        ->and($shaped[1999])->toEqualWithDelta(-0.8 / 80, 1e-12);
});

it('leaves silence silent', function (): void {
    expect(array_unique(Samples::shaped(array_fill(0, 100, 0.0), 0.8, 8000)))->toBe([0.0]);
});
