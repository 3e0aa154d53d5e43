<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Listening\Statistics;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;

/** @return list<Event> of the guitar */
function guitarOf(Timeline $timeline): array
{
    return array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part->instrument === Instrument::Guitar));
}

it('puts the simulated player in the guitar’s place and leaves the band as it was', function (): void {
    $timeline = (new Performer())->perform(Examples::breakdown([], 'xxxx', 1));
    $late = (new SimulatedTake(
        $timeline,
        (new SimulatedPlayer(20, 0, 0, 0, 1))->play($timeline, 2),
    ))->timeline(new BandPart('guitar', Instrument::Guitar, 1.0));
    $others = static fn (Timeline $of): array => array_values(array_filter(
        $of->events,
        static fn (Event $event): bool => $event->part->instrument !== Instrument::Guitar,
    ));

    expect($others($late))->toEqual($others($timeline))
        ->and(count(guitarOf($late)))->toBe(count(guitarOf($timeline)))
        ->and(guitarOf($late)[0]->t)->toEqualWithDelta(guitarOf($timeline)[0]->t + 0.02, 1e-9)
        ->and(array_column($late->events, 't'))->toBe(inOrder(array_column($late->events, 't')));
});

/**
 * @param list<float> $times
 *
 * @return list<float>
 */
function inOrder(array $times): array
{
    sort($times);

    return $times;
}

it('begins no stroke before the form does, however early the player is', function (): void {
    $timeline = (new Performer())->perform(Examples::breakdown([], 'xxxx', 1));
    $early = (new SimulatedTake(
        $timeline,
        (new SimulatedPlayer(-60, 0, 0, 0, 1))->play($timeline, 2),
    ))->timeline(new BandPart('guitar', Instrument::Guitar, 1.0));

    expect(min(array_map(static fn (PlayedStroke $stroke): float => $stroke->t, $early->strokes)))->toBe(0.0)
        ->and($early->strokes[1]->t)->toEqualWithDelta(0.44, 1e-9);
});

it('plays what it was told: bias, spread, drift, misses and strokes too many', function (): void {
    $timeline = (new Performer())->perform(Examples::breakdown([], 'xxxxxxxx'));
    $off = static fn (SimulatedPlayer $player): array => array_map(
        static fn (PlayedStroke $stroke): float => 1000 * ($stroke->t - 0.25 * round($stroke->t / 0.25)),
        $player->play($timeline, 32),
    );
    $sums = static fn (array $values): float => array_sum($values) / count($values);

    expect($sums($off(new SimulatedPlayer(15, 0, 0, 0, 1))))->toEqualWithDelta(15, 1e-6)
        ->and(Statistics::spread($off(new SimulatedPlayer(0, 0, 10, 0, 1))))->toEqualWithDelta(10, 1.5)
        ->and(count((new SimulatedPlayer(0, 0, 0, 0.25, 1))->play($timeline, 32)))->toEqualWithDelta(192, 20)
        ->and(count((new SimulatedPlayer(0, 0, 0, 0, 1, 0, 0.25))->play($timeline, 32)))->toEqualWithDelta(320, 20)
        ->and((new SimulatedPlayer(0, 0, 0, 0, 1, 6))->play($timeline, 8)[60]->t)->toEqualWithDelta(15 - 6 * 15 ** 2 / (120 * 120), 1e-6)
        ->and((new SimulatedPlayer(0, 0, 9, 0.1, 4))->taps($timeline, 8))->toBe((new SimulatedPlayer(0, 0, 9, 0.1, 4))->taps($timeline, 8));
});

it('lets a string ring until the pick is there again, but not over a new grip', function (): void {
    $events = guitarOf((new Performer())->perform(Examples::breakdown(
        ['sections' => [['name' => 'A', 'line' => '| Dm | A7 |']]],
        'xxxx',
        1,
    )));
    $byString = [];
    foreach ($events as $event) {
        $byString[$event->string][] = $event;
    }
    foreach ($byString as $struck) {
        foreach (array_slice($struck, 1) as $number => $next) {
            $before = $struck[$number];
            if ($before->t < 1.9 && $next->t < 1.9) {
                expect($before->t + $before->dur)->toEqualWithDelta($next->t, 1e-9);
            }
            if ($before->t < 2.0 && $next->t >= 2.0) {
                expect($before->t + $before->dur)->toBeLessThanOrEqual(2.0 + 1e-9);
            }
        }
    }
});
