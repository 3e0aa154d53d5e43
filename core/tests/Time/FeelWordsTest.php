<?php

declare(strict_types=1);

use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\FeelWords;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

it('names a feel as it sounds at a tempo', function (Feel $feel, float $bpm, string $words): void {
    expect(FeelWords::of($feel, new Tempo($bpm)))->toBe($words);
})->with([
    'straight' => [Feel::straight(), 120.0, 'straight'],
    'nearly straight' => [Feel::fixed(1.005), 120.0, 'straight'],
    'a triplet' => [Feel::fixed(2), 60.0, '67 % swing'],
    'sixteenths' => [Feel::fixed(1.5, SwingUnit::Sixteenth), 90.0, '60 % swing on sixteenths'],
    // At 120 the pair lasts 500 ms; what is left beside a short note of 110 is 390, more than twice as long.
    'one that follows a middling tempo' => [new Feel(FeelMode::FollowsTempo, 1, SwingUnit::Eighth), 120.0, '67 % swing'],
    // At 250 the pair lasts 240 ms: 130 to 110.
    'one that follows a fast tempo' => [new Feel(FeelMode::FollowsTempo, 1, SwingUnit::Eighth), 250.0, '54 % swing'],
]);
