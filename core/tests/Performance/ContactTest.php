<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;

/**
 * The first stroke of a bar whose second is a plain strum on beat 3.
 *
 * @param array<string, mixed> $stroke
 *
 * @return non-empty-list<Event> string by string
 */
function metBy(array $stroke): array
{
    $strokes = [['at' => 0, 'division' => 1, ...$stroke], ['at' => 1920, 'division' => 1]];
    $breakdown = Examples::breakdown(['pattern' => ['ticks' => 3840, 'streams' => [['name' => 'strum', 'strokes' => $strokes]]]]);
    $events = array_values(array_filter(
        (new Performer())->perform($breakdown)->events,
        static fn (Event $event): bool => $event->part->instrument === Instrument::Guitar && $event->t < 0.4,
    ));

    return $events === [] ? throw new LogicException('The first stroke met no string.') : $events;
}

it('meets all strings at once, downwards, by what closes or comes down on them', function (array $stroke): void {
    $met = metBy($stroke);

    expect(count($met))->toBeGreaterThan(2)
        ->and(array_unique(array_column($met, 't')))->toBe([0.0])
        ->and(array_column($met, 'direction'))->each->toBe(Direction::Down);
})->with([
    'a pinch' => [['action' => 'pinch']],
    'pick and fingers' => [['by' => 'pick+finger']],
    'a slap' => [['action' => 'slap']],
    'a tap that damps' => [['action' => 'tap-damp']],
]);

it('lets a slap sound without pitch as loud as it is struck, a damping tap hardly at all', function (): void {
    [$slap, $tap, $strum] = [metBy(['action' => 'slap']), metBy(['action' => 'tap-damp']), metBy([])];

    expect(array_column([...$slap, ...$tap], 'pitch'))->each->toBeNull()
        ->and(array_column([...$slap, ...$tap], 'kind'))->each->toBe(EventKind::Chuck)
        ->and(array_column([...$slap, ...$tap], 'dur'))->each->toEqualWithDelta(0.05, 1e-9)
        ->and($slap[0]->velocity)->toBe($strum[0]->velocity)
        ->and($tap[0]->velocity)->toBeLessThan($strum[0]->velocity / 2);
});

it('drags a rake over damped strings into the last, which rings', function (): void {
    $rake = metBy(['action' => 'rake']);
    $last = array_pop($rake);
    $times = [...array_column($rake, 't'), $last->t];

    expect(array_column($rake, 'pitch'))->each->toBeNull()
        ->and(array_column($rake, 'dur'))->each->toEqualWithDelta(0.05, 1e-9)
        ->and($last->pitch)->not->toBeNull()->and($last->dur)->toBeGreaterThan(0.5)
        ->and($times)->toEqualWithDelta(array_map(static fn (int $order): float => 0.02 * $order, array_keys($times)), 1e-9);
});

it('pulls single fingers up whatever the school says, but lets them brush as it says', function (string $finger): void {
    expect(metBy(['by' => $finger])[0]->direction)->toBe(Direction::Up)
        ->and(metBy(['by' => $finger, 'action' => 'brush'])[0]->direction)->toBe(Direction::Down)
        ->and(metBy(['by' => $finger, 'direction' => 'down', 'fixed' => ['direction']])[0]->direction)->toBe(Direction::Down);
})->with(['i', 'm', 'a']);
