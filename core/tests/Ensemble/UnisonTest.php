<?php

declare(strict_types=1);

use Gravik\Band\Drum;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

/** @return list<Event> of one part of a band that strikes with the guitar, but for the part in another role */
function unisonEvents(string $part, array $roles = []): array
{
    $all = ['keys' => 'unison', 'horns' => 'unison', 'bass' => 'unison', 'drums' => 'unison', ...$roles];
    $events = (new Performer())->perform(bandSong($all, [Examples::part('keys'), Examples::part('horns')], strokes: 'x.gXc..x'))->events;

    return array_values(array_filter($events, static fn (Event $event): bool => $event->part->id === $part));
}

/** @return array<int, float> seconds by tick, of the first that is heard there */
function firstByTick(array $events): array
{
    $first = [];
    foreach ($events as $event) {
        $first[$event->tick] ??= round($event->t, 6);
    }
    ksort($first);

    return $first;
}

it('strikes with the guitar in unison, swung alike, and neither on its ghosts nor its chucks', function (string $part): void {
    $sounding = array_filter(
        unisonEvents('guitar'),
        static fn (Event $event): bool => ! in_array($event->kind, [EventKind::Chuck, EventKind::Ghost], true),
    );
    $with = array_filter(unisonEvents($part), static fn (Event $event): bool => $part !== 'drums' || $event->pitch === Drum::Kick->value);

    expect(firstByTick($with))->toBe(firstByTick($sounding))->and(count(firstByTick($sounding)))->toBe(12);
})->with(['keys', 'horns', 'bass', 'drums']);

it('sounds the guitar\'s chord with it: the bass its root', function (): void {
    $roots = array_map(static fn (Event $event): int => ($event->pitch ?? 0) % 12, unisonEvents('bass'));

    expect($roots)->toBe([2, 2, 2, 7, 7, 7, 0, 0, 0, 9, 9, 9]);
});

it('stops with the guitar: where it lays out, nobody in unison with it plays', function (string $part): void {
    expect(unisonEvents($part, ['guitar' => 'out']))->toBe([]);
})->with(['keys', 'horns', 'bass', 'drums']);
