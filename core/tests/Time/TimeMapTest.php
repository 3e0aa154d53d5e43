<?php

declare(strict_types=1);

use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;
use Gravik\Time\TimeMap;

function rulerOf(string $meter, float $bpm, float $ratio = 1.0): Ruler
{
    return new Ruler(Meter::parse($meter), new Tempo($bpm), Feel::fixed($ratio));
}

/** Two bars of 4/4 at 120, one of 3/4 at 60, three of 6/8 at 90, two of 4/4 again. */
function mixedMap(): TimeMap
{
    return TimeMap::of([
        ['bars' => 2, 'ruler' => rulerOf('4/4', 120)],
        ['bars' => 1, 'ruler' => rulerOf('3/4', 60, 2)],
        ['bars' => 3, 'ruler' => rulerOf('6/8', 90)],
        ['bars' => 2, 'ruler' => rulerOf('4/4', 120)],
    ]);
}

/** The same, added up bar by bar from the definitions alone. @return list<array{tick: int, seconds: float, beats: float}> */
function barsOneByOne(): array
{
    $bars = [];
    [$tick, $seconds, $all] = [0, 0.0, 0.0];
    foreach ([['4/4', 120, 2], ['3/4', 60, 1], ['6/8', 90, 3], ['4/4', 120, 2]] as [$meter, $bpm, $count]) {
        [$pulses, $value] = array_map(intval(...), explode('/', $meter));
        $beats = $meter === '6/8' ? 2 : $pulses;
        for ($bar = 0; $bar < $count; $bar++) {
            $bars[] = ['tick' => $tick, 'seconds' => $seconds, 'beats' => $all];
            $all += $beats;
            $tick += $pulses * intdiv(3840, $value);
            $seconds += $beats * 60 / $bpm;
        }
    }

    return [...$bars, ['tick' => $tick, 'seconds' => $seconds, 'beats' => $all]];
}

it('finds every bar line of a song in several meters and tempos where adding up bar by bar finds it', function (): void {
    $map = mixedMap();
    foreach (barsOneByOne() as $bar => ['tick' => $tick, 'seconds' => $seconds, 'beats' => $beats]) {
        expect($map->tickOfBar($bar))->toBe($tick)
            ->and($map->barAt($tick))->toBe($bar)
            ->and($map->barAt($tick + 479))->toBe($bar)
            ->and($map->at($tick)->beatsAt($tick, 1))->toEqualWithDelta($beats, 1e-9)
            ->and($map->secondsAt($tick, 1))->toEqualWithDelta($seconds, 1e-9)
            ->and($map->ticksAt($seconds))->toEqualWithDelta($tick, 1e-6);
    }
    expect([$map->bars(), $map->ticks, count($map->stretches)])->toBe([8, 4 * 3840 + 2880 + 3 * 2880, 4])
        ->and($map->seconds())->toEqualWithDelta(4 + 3 + 4 + 4, 1e-9);
});

it('leans within a stretch as its own feel says, and nowhere else', function (): void {
    $map = mixedMap();

    expect($map->secondsAt(480, 2))->toEqualWithDelta(0.25, 1e-9)
        ->and($map->secondsAt(7680 + 480, 2))->toEqualWithDelta(4 + 2 / 3, 1e-9)
        ->and($map->straight()->secondsAt(7680 + 480, 2))->toEqualWithDelta(4.5, 1e-9)
        ->and([$map->at(7680 + 960)->inBar(7680 + 960), $map->at(7680 + 1000)->inBeat(7680 + 1000)])->toBe([960, 40]);
});

it('makes one stretch of neighbours that sound alike, and goes on beyond its ends', function (): void {
    $map = TimeMap::of([['bars' => 1, 'ruler' => rulerOf('4/4', 120)], ['bars' => 2, 'ruler' => rulerOf('4/4', 120)]]);

    expect($map->stretches)->toHaveCount(1)
        ->and($map->secondsAt(4 * 3840, 1))->toEqualWithDelta(8.0, 1e-9)
        ->and($map->secondsAt(-960, 1))->toEqualWithDelta(-0.5, 1e-9);
});
