<?php

declare(strict_types=1);

use Gravik\Lesson\Backing;
use Gravik\Time\Meter;

it('clicks from every beat to none, on the back-beat of each meter, and drops out by turns', function (Backing $backing, string $meter, array $beats): void {
    expect($backing->beats(Meter::parse($meter)))->toBe($beats);
})->with([
    [Backing::Band, '4/4', []], [
        Backing::EveryBeat,
        '3/4',
        [0, 1, 2],
    ], [Backing::BackBeat, '4/4', [1, 3]], [Backing::BackBeat, '3/4', [1, 2]],
    [Backing::BackBeat, '6/8', [1]], [Backing::OnceABar, '12/8', [0]], [Backing::OffBeats, '4/4', []], [Backing::Rests, '2/4', [0, 1]],
]);

it('has one backing that clicks the off-beats, and one that rests', function (): void {
    expect(array_filter(Backing::cases(), static fn (Backing $each): bool => $each->clicksOffBeats()))->toBe([4 => Backing::OffBeats])
        ->and(array_map(
            static fn (Backing $each): ?array => $each->rests(),
            Backing::cases(),
        ))->toBe([null, null, null, null, null, [2, 2], null]);
});
