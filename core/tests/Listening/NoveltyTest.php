<?php

declare(strict_types=1);

use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\Novelty;
use Gravik\Tests\Support\Tones;

/** @return array{float, float} the greatest novelty around the second stroke, and away from both */
function noveltyOf(Tones $tones): array
{
    $values = Novelty::of(Envelopes::of($tones))?->values ?? [];
    $within = static fn (float $from, float $to): array => array_slice(
        $values,
        (int) (1000 * $from / Novelty::STEP_MS),
        (int) (1000 * ($to - $from) / Novelty::STEP_MS),
    );

    return [max($within(1.34, 1.46)), max([...$within(0.6, 1.3), ...$within(1.55, 2.1)])];
}

it('hears tones that are struck anew as softly as they have come to ring, and hears nothing in two that beat', function (array $tones): void {
    [$anew, $otherwise] = noveltyOf(new Tones($tones, 0.0005));

    expect($anew)->toBeGreaterThan(0.4)->and($otherwise)->toBeLessThan(0.15);
})->with([
    // They have fallen to 0.435 of their first height when they are struck anew, and no higher.
    'a chord' => [[[110.0, 0.4, 1.4, 0.435], [164.8, 0.4, 1.4, 0.435], [277.2, 0.4, 1.4, 0.435], [440.0, 0.4, 1.4, 0.435]]],
    'a pair that beats four times a second' => [[[220.0, 0.4, 1.4, 0.435], [224.0, 0.4, 1.4, 0.435], [554.0, 0.4, 1.4, 0.435]]],
]);
