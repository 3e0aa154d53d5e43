<?php

declare(strict_types=1);

use Gravik\Band\Seat;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\SharedRange;
use Gravik\Ensemble\Sounding;
use Gravik\Ensemble\Soundings;
use Gravik\Performance\Performer;

it('hears the guitar three times as near from its own chair, and everybody else as balanced as from the room', function (): void {
    $song = bandSong(more: [['id' => 'lead', 'instrument' => 'lead', 'level' => 1.0, 'offsetMs' => 0, 'straight' => false]]);
    $parts = Soundings::of(new Heard($song, (new Performer())->perform($song)))->parts;
    $from = static fn (Seat $seat): array => array_column(array_map(
        static fn (Sounding $part): array => [$part->part->id, $part->belowFrom($seat)],
        $parts,
    ), 1, 0);
    $room = $from(Seat::Room);
    $chair = $from(Seat::Guitar);

    expect($room['guitar'])->toBeGreaterThan(0.0)
        ->and(10 ** (($room['guitar'] - $chair['guitar']) / 20))->toEqualWithDelta(3.0, 1e-9)
        ->and(array_diff_key($chair, ['guitar' => 0]))->toEqualWithDelta(array_diff_key($room, ['guitar' => 0]), 1e-9);
});

it('tells how much of the guitar lies where the soloist is at home', function (
    array $register,
    float $least,
    float $most,
    string $says,
): void {
    $lead = ['id' => 'lead', 'instrument' => 'lead', 'level' => 1.0, 'offsetMs' => 0, 'straight' => false, 'register' => $register];
    $song = bandSong(more: [$lead]);
    $shared = SharedRange::all(new Heard($song, (new Performer())->perform($song)));

    expect($shared)->toHaveCount(1)->and($shared[0]->share)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most)
        ->and($shared[0]->words())->toContain($says);
})->with([
    'a piccolo far above' => [[84, 108], 0.0, 0.0, 'a little stronger'],
    'a part of it' => [[66, 90], 0.11, 0.5, '% of what the guitar plays'],
    'a baritone on top of it' => [[40, 64], 0.51, 1.0, 'leave it free'],
]);
