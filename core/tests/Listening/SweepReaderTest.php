<?php

declare(strict_types=1);

use Gravik\Listening\Hearing\GripEar;
use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\SweepReader;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Tones;

/**
 * @param list<float> $hz       from the lowest on
 * @param float       $sweepMs  from the first to the last; negative: the highest first
 */
function swept(array $hz, float $sweepMs, float $noise = 0.0): Envelopes
{
    $count = count($hz);
    $moment = static fn (int $order): float => abs($sweepMs) / 1000 * ($sweepMs >= 0 ? $order : $count - 1 - $order) / max(1, $count - 1);

    return Envelopes::of(new Tones(
        array_map(
            static fn (float $tone, int $order): array => [$tone, 0.4 + $moment($order), 1.4 + $moment($order)],
            $hz,
            array_keys($hz),
        ),
        $noise,
    ));
}

const OPEN_E = [82.4, 123.5, 164.8, 207.7, 246.9, 329.6];

it('tells from the order of the strings which way the hand went, from silence and over what still rings', function (float $sweepMs, float $noise): void {
    $sweeps = new SweepReader(swept(OPEN_E, $sweepMs, $noise));
    $expected = $sweepMs > 0 ? Direction::Down : Direction::Up;

    expect($sweeps->read(0.4, 1.4)?->direction)->toBe($expected)
        ->and($sweeps->read(1.4, 2.1)?->direction)->toBe($expected);
})->with([[15.0, 0.0], [25.0, 0.0], [40.0, 0.02], [-15.0, 0.0], [-25.0, 0.0], [-40.0, 0.02]]);

it('does not guess where all strings begin together, where one string sounds, or where there is no time to tell', function (): void {
    $sweeps = new SweepReader(swept(OPEN_E, 25.0));

    expect((new SweepReader(swept(OPEN_E, 0.0)))->read(0.4, 1.4)?->direction)->toBeNull()
        ->and((new SweepReader(swept([196.0], 0.0)))->read(0.4, 1.4)?->direction)->toBeNull()
        ->and($sweeps->read(0.4, 0.45))->toBeNull();
});

it('tells the direction of a grip that is known by its own strings, at the recording’s tuning', function (
    float $sweepMs,
    float $cents,
): void {
    $midi = [45, 52, 57, 61, 64];
    $hz = array_map(static fn (int $pitch): float => 440.0 * 2 ** (($pitch - 69 + $cents / 100) / 12), $midi);
    $ear = new GripEar(new SweepReader(swept($hz, $sweepMs)), $cents);

    expect($ear->direction(0.4, 1.4, $midi))->toBe($sweepMs > 0 ? Direction::Down : Direction::Up)
        // One string has no direction.
        ->and($ear->direction(0.4, 1.4, [45]))->toBeNull();
})->with([[25.0, 0.0], [-25.0, 0.0], [30.0, 40.0], [-30.0, -40.0]]);
