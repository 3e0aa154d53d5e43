<?php

declare(strict_types=1);

use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Stage;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Tests\Support\Examples;
use Gravik\Time\SwingUnit;

function lengthOf(PlayedStroke $stroke): float
{
    return max($stroke->ends) - $stroke->t;
}

/** A take that was heard: on time, each stroke as long as planned and in its direction unless $as says otherwise. */
function heardTake(string $slots, callable $as): LockReport
{
    $song = Examples::breakdown(['tempo' => 120]);
    $pattern = ctype_digit($slots[0]) ? CountLine::parse($slots, $song->start->meter) : SlotLine::parse($slots, $song->start->meter, 2);
    $timeline = (new Performer())->perform(Desk::of($song)->with($pattern));
    $taps = [];
    for ($round = 0; $round < 8; $round++) {
        foreach ($timeline->strokes as $number => $stroke) {
            $own = $as($stroke, count($taps));
            if ($own === null) {
                continue;
            }
            $played = $own + ['seconds' => lengthOf($stroke), 'direction' => $stroke->stroke->direction];
            $taps[] = new PlayedOnset($stroke->t + $round * $timeline->seconds, $played['direction'], false, 0.0, $played['seconds']);
        }
    }

    return (new LockReporter())->report(Take::of($taps, 0.0), $timeline, SwingUnit::Eighth, 0.0);
}

function findingOf(LockReport $report, string $kind): ?Finding
{
    return array_values(array_filter($report->findings, static fn (Finding $finding): bool => $finding->kind->value === $kind))[0] ?? null;
}

it('says which strokes ring on, and which break off, and leaves alone what a room or a dying string explains', function (): void {
    $onTwo = static fn (PlayedStroke $stroke): bool => fmod($stroke->t, 2.0) > 0.4 && fmod($stroke->t, 2.0) < 0.6;
    $longer = heardTake(
        '1 2. 3 4',
        static fn (PlayedStroke $stroke): array => $onTwo($stroke) ? ['seconds' => 1.9 * lengthOf($stroke)] : [],
    );
    // Past the next stroke, which was not heard then: nobody knows when the first one ended.
    $lost = heardTake(
        '1 2. 3 4',
        static fn (PlayedStroke $stroke): ?array => fmod($stroke->t, 2.0) > 0.9 && fmod($stroke->t, 2.0) < 1.1
            ? null
            : ($onTwo($stroke) ? ['seconds' => 0.9] : []),
    );
    $shorter = heardTake(
        'x.x.x.x.',
        static fn (PlayedStroke $stroke): array => $onTwo($stroke) ? ['seconds' => 0.4 * lengthOf($stroke)] : [],
    );
    $room = heardTake('xxxxxxxx', static fn (PlayedStroke $stroke): array => ['seconds' => lengthOf($stroke) + 0.15]);
    $dying = heardTake('x.......', static fn (PlayedStroke $stroke): array => ['seconds' => 0.45 * lengthOf($stroke)]);

    expect(findingOf($longer, 'length')?->text)->toStartWith('The 2 rings on: up to 1.9 times as long as planned. Let go')
        ->and(findingOf($longer, 'length')?->stage)->toBe(Stage::Releases)
        ->and(findingOf($shorter, 'length')?->text)->toStartWith('The 2 breaks off after 40 % of the length planned.')
        ->and(findingOf($lost, 'length'))->toBeNull()
        ->and(findingOf($room, 'length'))->toBeNull()
        ->and(findingOf($dying, 'length'))->toBeNull();
});

it('accuses a slot of the other direction only where mishearing would hardly explain it', function (): void {
    $mostly = heardTake(
        'xxxxxxxx',
        static fn (PlayedStroke $stroke, int $number): array => $number % 8 === 3 && $number % 40 !== 3
            ? ['direction' => Direction::Down]
            : [],
    );
    $sometimes = heardTake(
        'xxxxxxxx',
        static fn (PlayedStroke $stroke, int $number): array => $number % 4 === intdiv($number, 8) % 4
            ? ['direction' => Direction::Up]
            : [],
    );

    expect(findingOf($mostly, 'direction')?->text)->toStartWith('The 2& goes the other way than planned: ')
        ->and($sometimes->directionsWrong)->toBeGreaterThan(0.1 * $sometimes->directionsTold)
        ->and(findingOf($sometimes, 'direction'))->toBeNull();
});

it('holds a length only against a next stroke that was met, and no single string against a direction', function (): void {
    $missing = heardTake(
        'x.x.x.x.',
        static fn (PlayedStroke $stroke): ?array => $stroke->slot === 4
            ? null
            : ($stroke->slot === 2 ? ['seconds' => 2.0 * lengthOf($stroke)] : []),
    );
    $up = Take::of([new PlayedOnset(0.0, Direction::Up, false, 0.0, 0.4)], 0.0);

    expect(findingOf($missing, 'length'))->toBeNull()
        ->and($up->wayOf(0, [52]))->toBeNull()->and($up->wayOf(0, [52, 59]))->toBe(Direction::Up);
});

it('knows how likely so many successes are, as counting every outcome has it', function (int $successes, int $tries): void {
    $likely = 0.0;
    for ($outcome = 0; $outcome < 2 ** $tries; $outcome++) {
        $count = substr_count(decbin($outcome), '1');
        $likely += $count >= $successes ? 0.25 ** $count * 0.75 ** ($tries - $count) : 0.0;
    }
    expect(Statistics::atLeast($successes, $tries, 0.25))->toEqualWithDelta($likely, 1e-12);
})->with([[0, 5], [3, 5], [7, 9], [9, 9]]);

it('says of strokes that ring where they should be dead only where they sounded long enough to show it', function (): void {
    $ringing = heardTake('xcxcxcxc', static fn (PlayedStroke $stroke): array => ['seconds' => 0.2]);
    $fast = heardTake('xcxcxcxc', static fn (PlayedStroke $stroke): array => ['seconds' => 0.07]);

    expect(findingOf($ringing, 'muting')?->text)->toStartWith('64 of 128 strokes rang where they should be dead')
        ->and(findingOf($fast, 'muting'))->toBeNull();
});
