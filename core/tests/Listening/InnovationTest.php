<?php

declare(strict_types=1);

use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\Innovation;
use Gravik\Listening\Hearing\Internal\Onset;
use Gravik\Listening\Hearing\Internal\OnsetFinder;
use Gravik\Tests\Support\Tones;

it('is left with little while strings ring on, and with much in the moment a soft one is struck', function (
    array $tones,
    int $struck,
): void {
    $left = Innovation::of(Envelopes::of(new Tones($tones, 0.0002)));
    $ringing = [];
    for ($frame = $struck - 400; $frame < $struck - 20; $frame += 4) {
        $ringing[] = $left->mean($frame, $frame + 4);
    }
    $anew = 0.0;
    $at = 0;
    for ($frame = $struck - 30; $frame < $struck + 30; $frame++) {
        if ($left->values[$frame] > $anew) {
            [$anew, $at] = [$left->values[$frame], $frame];
        }
    }

    expect(10 * log10($anew / max($ringing)))->toBeGreaterThan(10.0)->and(abs($at - $struck))->toBeLessThanOrEqual(2);
})->with([
    'a chord struck anew at 0.4 of its height' => [
        [[110.0, 0.4, 1.4, 0.4], [164.8, 0.4, 1.4, 0.4], [277.2, 0.4, 1.4, 0.4], [440.0, 0.4, 1.4, 0.4]],
        1400,
    ],
    'one string of four' => [[[110.0, 0.4, 9.0, 0.0], [164.8, 0.4, 9.0, 0.0], [277.2, 0.4, 9.0, 0.0], [440.0, 0.4, 1.4, 0.3]], 1400],
]);

it('hears both strokes of a chord, the second a fifth as high as the first began, and nothing between', function (): void {
    $tones = array_map(static fn (float $hz): array => [$hz, 0.4, 1.4, 0.2], [110.0, 164.8, 277.2, 440.0]);
    $sure = array_filter(
        (new OnsetFinder(Envelopes::of(new Tones($tones, 0.0005))))->find(),
        static fn (Onset $onset): bool => $onset->isSure(),
    );

    expect(array_map(static fn (Onset $onset): float => round($onset->frame / 1000, 2), array_values($sure)))->toBe([0.4, 1.4]);
});
