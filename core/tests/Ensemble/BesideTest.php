<?php

declare(strict_types=1);

use Gravik\Band\Role;
use Gravik\Ensemble\Beside;
use Gravik\Ensemble\BesideBar;
use Gravik\Ensemble\Failure\NothingBeside;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Likeness;
use Gravik\Performance\Performer;

/**
 * Another's part told as signs of eighths, one string a bar, played off by a few ms.
 *
 * @return array{Heard, list<float>}
 */
function besidePart(string $guitar, array $bars, float $late = 0.0): array
{
    $song = bandSong(strokes: $guitar);
    $timeline = (new Performer())->perform($song);
    $onsets = [];
    foreach ($bars as $bar => $signs) {
        foreach (str_split($signs) as $slot => $sign) {
            if ($sign === 'x') {
                $onsets[] = $late + $timeline->map->secondsAt(3840 * $bar + 480 * $slot, 2) + (($slot * 7 + $bar) % 5 - 2) / 1000;
            }
        }
    }

    return [new Heard($song, $timeline), $onsets];
}

it('tells bar by bar whether two strike together, between one another or nearly alike', function (float $late): void {
    [$heard, $onsets] = besidePart('x.x.x.x.', ['x.x.x.x.', '.x.x.x.x', 'x.x.xx.x', '........'], $late);
    $beside = Beside::of($heard, $onsets);

    expect(array_map(static fn (BesideBar $bar): Likeness => $bar->likeness(), $beside->bars))
        ->toBe([Likeness::Together, Likeness::Interlocking, Likeness::NearlyAlike, Likeness::GuitarAlone])
        ->and($beside->offsetSeconds)->toEqualWithDelta($late, 0.004);
})->with(['from the beginning' => [0.0], 'somewhere in a recording' => [2.37]]);

it('notes what is struck where a section ends, by both', function (): void {
    [$heard, $onsets] = besidePart('x.x.x.x.', ['x.......', 'x.......', 'x.......', '...x..xx']);
    $ends = Beside::of($heard, $onsets)->ends;

    expect($ends)->toHaveCount(1)->and($ends[0]->bar)->toBe(3)
        ->and(array_map($heard->slotWords(...), $ends[0]->theirs))->toBe(['2&', '4', '4&'])
        ->and(array_map($heard->slotWords(...), $ends[0]->own))->toBe(['1', '2', '3', '4']);
});

it('proposes to hold back where the two blur, and to leave a unison alone', function (array $bars, Role $role): void {
    [$heard, $onsets] = besidePart('x.x.x.x.', $bars);

    expect(array_column(Beside::of($heard, $onsets)->proposals($heard), 'role'))->toBe([$role]);
})->with([
    'blurred' => [['x.x.xx..', 'x.x.x.xx', 'x.xx..x.', 'x.x.x.x.'], Role::Passive],
    'together' => [['x.x.x.x.', 'x.x.x.x.', 'x.x.x.x.', '.x.....x'], Role::Unison],
]);

it('says nothing where the two interlock, and refuses a part without a stroke', function (): void {
    [$heard, $onsets] = besidePart('x.x.x.x.', ['.x.x.x.x', '.x.x.x.x', '.x.x.x.x', '.x.x.x.x']);

    expect(Beside::of($heard, $onsets)->proposals($heard))->toBe([])
        ->and(static fn () => Beside::of($heard, []))->toThrow(NothingBeside::class);
});

it('says where else bar 1 may lie, beat by beat where the off-beats lean, and takes what it is told', function (): void {
    [$heard, $onsets] = besidePart('x.x.x.x.', ['..xxx.x.', 'x.x.x.xx', 'x.x.x.x.', 'x.xxx.x.']);
    $swung = Beside::of($heard, $onsets);
    $told = Beside::of($heard, $onsets, -60 / 132);

    expect(array_map($heard->slotWords(...), array_keys($swung->alignments)))->toBe(['1', '2'])
        ->and($swung->alignments[960])->toEqualWithDelta(0.0, 0.004)
        ->and($swung->offsetSeconds)->toBe($swung->alignments[960])
        ->and($told->alignments)->toBe([])
        ->and(array_map($heard->slotWords(...), $told->bars[0]->theirs))->toBe(['3', '3&', '4']);
});
