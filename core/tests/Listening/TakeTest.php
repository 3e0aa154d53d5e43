<?php

declare(strict_types=1);

use Gravik\Listening\Hearing\LatencyCheck;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Lock\Take;
use Gravik\Strokes\Direction;

it('reads takes as they are written and refuses what is none', function (mixed $take, ?string $message): void {
    if ($message === null) {
        expect(Take::read($take, 0.5)->taps)->toEqual([
            new Gravik\Listening\PlayedOnset(0.0, null),
            new Gravik\Listening\PlayedOnset(0.75, Direction::Up),
        ]);

        return;
    }
    expect(static fn () => Take::read($take))->toThrow(ListeningException::class, $message);
})->with([
    'out of order, with a first beat' => [['taps' => [['t' => 1.25, 'key' => 'up'], ['t' => 0.5]]], null],
    'a word' => ['taps', 'This is no take'],
    'an object' => [['notes' => []], 'This is no take'],
    'a tap without time' => [[['key' => 'up']], 'Tap 1 has no time'],
    'a tap long after' => [[1.0, 99999], 'Tap 2 has no time'],
    'an unknown key' => [[['t' => 1, 'key' => 'left']], 'neither "down" nor "up"'],
    'too many' => [array_fill(0, 20_001, 1.0), '20001 taps are more than'],
]);

it('measures a delay as the median of how late the taps came', function (): void {
    $clicks = array_map(static fn (int $click): float => 0.6 * $click, range(0, 15));
    $taps = array_map(
        static fn (float $click, int $index): float => $click + 0.08 + ($index === 3 ? 0.2 : ($index % 2 === 0 ? 0.01 : -0.01)),
        $clicks,
        range(0, 15),
    );
    $check = LatencyCheck::of($clicks, $taps);

    expect($check->latencyMs)->toEqualWithDelta(80, 11)->and($check->taps)->toBe(16);
    LatencyCheck::of($clicks, array_slice($taps, 0, 7));
})->throws(ListeningException::class, '7 taps are too few');
