<?php

declare(strict_types=1);

use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Seat;
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
