<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Change\SeatChanger;
use Gravik\Breakdown\Failure\PartUnknown;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\GuideTones;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

function withSecondGuitar(?string $plays = null): Breakdown
{
    $song = (new PartSetter())->add(Examples::breakdown(), Instrument::SecondGuitar);
    $way = $plays === null ? null : Gravik\Band\Way::from($plays);

    return $song->with(parts: array_map(
        static fn ($part) => $part->instrument === Instrument::SecondGuitar ? $part->with(way: $way) : $part,
        $song->parts,
    ));
}

/** @return list<array{int, ?int, ?int, ?int}> tick, pitch, string and fret of what a part plays, in order */
function playedBy(Breakdown $song, string $part): array
{
    $own = array_filter((new Performer())->perform($song)->events, static fn (Event $event): bool => $event->part->id === $part);
    $told = array_map(static fn (Event $event): array => [$event->tick, $event->pitch, $event->string, $event->fret], $own);
    sort($told);

    return $told;
}

it('gives a second guitar the rhythm of its way', function (string $plays, array $ticks): void {
    $played = array_filter(playedBy(withSecondGuitar($plays), 'second-guitar'), static fn (array $each): bool => $each[0] < 2 * 3840);

    expect(array_values(array_unique(array_column($played, 0))))->toBe($ticks);
})->with([
    'shells over straight eighths: 1, 3 | 1, 3, 4' => ['shells', [0, 1920, 3840, 3840 + 1920, 3840 + 2880]],
    'off every beat' => ['upbeats', [480, 1440, 2400, 3360, 3840 + 480, 3840 + 1440, 3840 + 2400, 3840 + 3360]],
    'once a chord' => ['pads', [0, 3840]],
]);

it('holds guide tones on the inner strings, above the first guitar\'s frets', function (): void {
    foreach (playedBy(withSecondGuitar('shells'), 'second-guitar') as [$tick, $pitch, $string, $fret]) {
        $chord = ChordSymbol::parse(intdiv($tick, 3840) % 2 === 0 ? 'Dm' : 'A7');

        expect([...GuideTones::of($chord), $chord->rootPitchClass()])->toContain($pitch % 12)
            ->and($string)->toBeIn([2, 3, 4])
            ->and($fret)->toBeGreaterThanOrEqual(3);
    }
});

it('strikes what the first guitar strikes in unison, over grips of its own, and stops with it', function (): void {
    $ticks = static fn (Breakdown $song, string $part): array => array_values(array_unique(array_column(playedBy($song, $part), 0)));
    $unison = new Cell('second-guitar', role: Gravik\Band\Role::Unison);
    $song = withSecondGuitar()->with(cells: [$unison]);
    $silent = $song->with(cells: [$unison, new Cell('guitar', role: Gravik\Band\Role::Out)]);

    expect($ticks($song, 'second-guitar'))->toBe($ticks($song, 'guitar'))
        ->and(playedBy($song, 'second-guitar'))->not->toBe(playedBy($song, 'guitar'))
        ->and(playedBy($silent, 'second-guitar'))->toBe([]);
});

it('changes seats: each plays what the other played, and changed again what it played before', function (string $plays): void {
    $song = withSecondGuitar($plays);
    $changed = (new SeatChanger())->change($song);
    $back = (new SeatChanger())->change($changed);

    expect(playedBy($changed, 'guitar'))->toBe(playedBy($song, 'second-guitar'))
        ->and(playedBy($changed, 'second-guitar'))->toBe(playedBy($song, 'guitar'))
        ->and($changed->guitar()->level)->toBe(0.5)
        ->and(playedBy($back, 'guitar'))->toBe(playedBy($song, 'guitar'))
        ->and(playedBy($back, 'second-guitar'))->toBe(playedBy($song, 'second-guitar'));
})->with(['shells', 'spread', 'upbeats', 'pads']);

it('changes no seats where nobody sits in the other', function (): void {
    (new SeatChanger())->change(Examples::breakdown());
})->throws(PartUnknown::class);
