<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Internal\Divisions;
use Gravik\Performance\Internal\Sweep;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Stroke;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;

/** @return list<Event> */
function eventsOf(Timeline $timeline, Instrument $part): array
{
    return array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part->instrument === $part));
}

function performed(Breakdown $breakdown, ?float $bpm = null): Timeline
{
    return (new Performer())->perform($breakdown, $bpm === null ? null : new Tempo($bpm));
}

/** @param list<array<string, mixed>> $strokes */
function withStrokes(array $strokes, array $fields = []): Breakdown
{
    return Examples::breakdown(['pattern' => ['ticks' => 3840, 'streams' => [['name' => 'strum', 'strokes' => $strokes]]]] + $fields);
}

it('plays every stroke at its swung place, bar after bar', function (float $ratio, float $bpm): void {
    $timeline = performed(Examples::breakdown(['feel' => Examples::swing($ratio), 'tempo' => $bpm], 'x.xx.xxx'));
    $expected = [];
    foreach ([0, 1] as $bar) {
        foreach ([0, 2, 3, 5, 6, 7] as $slot) {
            $expected[] = (60 / $bpm) * (4 * $bar + intdiv($slot, 2) + ($slot % 2) * $ratio / (1 + $ratio));
        }
    }

    expect(array_map(static fn (PlayedStroke $stroke): float => $stroke->t, $timeline->strokes))->toEqualWithDelta($expected, 1e-9)
        ->and($timeline->seconds)->toEqualWithDelta(8 * 60 / $bpm, 1e-9);
})->with([[1, 120], [2, 138], [1.5, 96], [3, 60]]);

it('sweeps the strings one after the other, low to high for down, high to low for up', function (): void {
    $timeline = performed(withStrokes([['at' => 0, 'division' => 2], ['at' => 480, 'division' => 2]]));
    foreach ([[0.0, Direction::Down], [0.25, Direction::Up]] as [$from, $direction]) {
        $sweep = array_values(array_filter(
            eventsOf($timeline, Instrument::Guitar),
            static fn (Event $event): bool => $event->t >= $from && $event->t < $from + 0.2,
        ));
        $strings = array_map(static fn (Event $event): int => (int) $event->string, $sweep);
        $sorted = $strings;
        $direction === Direction::Down ? rsort($sorted) : sort($sorted);
        expect($strings)->toBe($sorted)->and(count($strings))->toBeGreaterThan(2)
            ->and(array_map(static fn (Event $event): ?Direction => $event->direction, $sweep))->each->toBe($direction);
        foreach (array_slice($sweep, 1) as $place => $event) {
            expect(1000 * ($event->t - $sweep[$place]->t))->toBeGreaterThanOrEqual(3.0)->toBeLessThanOrEqual(12.0);
        }
    }
});

it('never takes longer over a sweep than half the gap to the next stroke', function (): void {
    $timeline = performed(Examples::breakdown(['tempo' => 400], str_repeat('x', 16), 4));
    foreach ($timeline->strokes as $place => $stroke) {
        $sweep = array_filter(
            eventsOf($timeline, Instrument::Guitar),
            static fn (Event $event): bool => $event->t >= $stroke->t - 1e-9
                && $event->t < ($timeline->strokes[$place + 1]->t ?? INF) - 1e-9,
        );
        $last = max(array_map(static fn (Event $event): float => $event->t, $sweep));
        expect($last - $stroke->t)->toBeLessThanOrEqual(60 / 400 / 4 / 2 + 1e-9);
    }
});

it('lets strokes ring until that string is struck again, a chuck stops them, or the chord changes', function (): void {
    $timeline = performed(Examples::breakdown([], 'x...c..x'));
    $first = $timeline->strokes[0];
    $last = $timeline->strokes[2];

    expect($first->ends)->each->toEqualWithDelta(1.0, 1e-9)
        ->and($last->ends)->each->toEqualWithDelta(2.0, 1e-9)
        ->and($timeline->strokes[1]->stroke->isDead())->toBeTrue();
});

it('ends a stroke where its length says, apart from where it sits in time', function (array $length, float $seconds): void {
    $timeline = performed(withStrokes(
        [['at' => 480, 'division' => 2, 'length' => $length, 'offsetMs' => 25, 'articulation' => 'short']],
        ['feel' => Examples::swing(2), 'tempo' => 60],
    ));
    $stroke = $timeline->strokes[0];

    expect($stroke->t)->toEqualWithDelta(2 / 3 + 0.025, 1e-9)->and($stroke->ends[0] - $stroke->t)->toEqualWithDelta($seconds, 1e-9);
})->with([
    'half of its swung slot' => [['share' => 0.5], 1 / 6],
    'a quarter note' => [['until' => 960], 1.0],
    'until the chord changes' => [['until' => 'change'], 4 - 2 / 3],
]);

it('lets strings of one stroke end apart: damped bass under a ringing treble', function (): void {
    $timeline = performed(withStrokes([[
        'at' => 0,
        'division' => 1,
        'ends' => [['strings' => [4], 'length' => ['share' => 0.25], 'stoppedBy' => 'pick-hand']],
    ]], [
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, null, 0, 2, 3, 1]]],
    ]));
    $ends = [];
    foreach (array_slice(eventsOf($timeline, Instrument::Guitar), 0, 4) as $event) {
        $ends[(int) $event->string] = $event->t + $event->dur;
    }

    expect($ends[4])->toEqualWithDelta(0.125, 1e-9)->and($ends[1])->toEqualWithDelta(2.0, 1e-9);
});

it('sounds a push in the chord it belongs to, before that chord comes', function (): void {
    $timeline = performed(withStrokes([['at' => 3360, 'division' => 2, 'chord' => 'next']]));

    expect(array_map(static fn (PlayedStroke $stroke): string => $stroke->voicing->chord->text(), $timeline->strokes))->toBe(['A7', 'Dm']);
});

it('strikes the strings of a zone', function (array $part, array $strings): void {
    $timeline = performed(withStrokes(
        [['at' => 0, 'division' => 1] + $part],
        ['pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]]]],
    ));

    expect(array_map(
        static fn (Event $event): int => (int) $event->string,
        array_slice(eventsOf($timeline, Instrument::Guitar), 0, count($strings)),
    ))->toBe($strings)
        ->and($timeline->strokes[0]->strings)->toHaveCount(count($strings));
})->with([
    [['zone' => 'all'], [5, 4, 3, 2, 1]], [['zone' => 'bass'], [5]], [['zone' => 'low'], [5, 4]], [['zone' => 'high'], [3, 2, 1]],
    [['zone' => 'middle'], [4, 3, 2]], [['strings' => [6, 4, 2]], [4, 2]],
]);

it('gives chucks no pitch, ghosts little sound and accents more', function (): void {
    $timeline = performed(Examples::breakdown([], 'X.x.c.g.'));
    $velocity = [];
    foreach (eventsOf($timeline, Instrument::Guitar) as $event) {
        $velocity[$event->kind->value][] = $event->velocity;
        expect($event->pitch === null)->toBe($event->kind === EventKind::Chuck);
    }

    expect(max($velocity['ghost']))->toBeLessThan(min($velocity['ring']) / 2)
        ->and(max($velocity['ring']))->toBeGreaterThan(min($velocity['ring']));
});

it('keeps bass and drums in the swing unless their part says straight, and moves a laid-back part as a whole', function (): void {
    $parts = ['groove' => 'straight-drive', 'parts' => [
        ['name' => 'drums', 'level' => 0.5, 'offsetMs' => 0, 'straight' => true],
        ['name' => 'bass', 'level' => 1, 'offsetMs' => 20, 'straight' => false],
    ]];
    $timeline = performed(Examples::breakdown(['feel' => Examples::swing(2), 'tempo' => 60, 'band' => $parts]));
    $drums = array_values(array_unique(array_map(
        static fn (Event $event): float => round($event->t, 6),
        eventsOf($timeline, Instrument::Drums),
    )));
    $bass = array_map(static fn (Event $event): float => round($event->t, 6), eventsOf($timeline, Instrument::Bass));

    expect(array_slice($drums, 0, 4))->toBe([0.0, 0.5, 1.0, 1.5])
        ->and(array_slice($bass, 0, 3))->toBe([0.02, round(2 / 3 + 0.02, 6), 1.02]);
});

it('lets the bass play the root where a chord begins and lead into the next', function (): void {
    $timeline = performed(Examples::breakdown([
        'sections' => [['name' => 'A', 'line' => '| Dm | A7/C♯ |']],
        'band' => ['groove' => 'four-walk', 'parts' => []],
    ]));
    $pitches = array_map(static fn (Event $event): int => (int) $event->pitch, eventsOf($timeline, Instrument::Bass));

    // D F A, a step below C♯; then C♯, and on A: the third again, the fifth, a step below D.
    expect($pitches[0] % 12)->toBe(2)
        ->and($pitches[1] % 12)->toBe(5)
        ->and($pitches[2] % 12)->toBe(9)
        ->and($pitches[3] % 12)->toBe(0)
        ->and($pitches[4] % 12)->toBe(1)
        ->and($pitches[7] % 12)->toBe(1);
});

it('leaves silent bars silent', function (): void {
    $timeline = performed(Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| N.C. | Dm |']]]));

    expect(min(array_map(
        static fn (Event $event): float => $event->t,
        [...eventsOf($timeline, Instrument::Guitar), ...eventsOf($timeline, Instrument::Bass)],
    )))->toBeGreaterThanOrEqual(2.0)
        ->and(eventsOf($timeline, Instrument::Drums)[0]->t)->toBe(0.0);
});

it('plays at another tempo without changing the breakdown', function (): void {
    $breakdown = Examples::breakdown();
    expect(performed($breakdown, 60)->seconds)->toEqualWithDelta(2 * performed($breakdown)->seconds, 1e-9)
        ->and($breakdown->start->tempo->bpm)->toBe(120.0);
});

it('strikes up strokes a little softer than down strokes with the same accent', function (): void {
    $timeline = performed(withStrokes([
        ['at' => 0, 'division' => 2, 'direction' => 'down', 'fixed' => ['direction']],
        ['at' => 480, 'division' => 2, 'direction' => 'up', 'fixed' => ['direction']],
    ]));
    $loudness = static fn (Direction $direction): float => eventsOf(
        $timeline,
        Instrument::Guitar,
    )[array_search(
        $direction,
        array_map(static fn (Event $event): ?Direction => $event->direction, eventsOf($timeline, Instrument::Guitar)),
        true,
    )]->velocity;

    expect($loudness(Direction::Up) / $loudness(Direction::Down))->toEqualWithDelta(0.92, 1e-9);
});

it('moves a stroke with the ends of its strings', function (): void {
    $stroke = (new Performer())->perform(Examples::breakdown())->strokes[1];
    $later = $stroke->shifted(0.25);

    expect($later->t - $stroke->t)->toEqualWithDelta(0.25, 1e-12)
        ->and(array_map(static fn (float $after, float $before): float => $after - $before, $later->ends, $stroke->ends))->toEqualWithDelta(
            array_fill(0, count($stroke->ends), 0.25),
            1e-12,
        );
});

it('leaves a little air after a bass note, by its own length in the swing', function (): void {
    $timeline = (new Performer())->perform(Examples::breakdown([
        'feel' => Examples::swing(2),
        'band' => ['groove' => 'four-walk', 'parts' => []],
    ]));
    $bass = eventsOf($timeline, Instrument::Bass);

    // A walking bass: four quarters a bar at 120, each held for 94 % of its half second.
    expect(array_map(static fn (Event $event): float => round($event->dur, 6), array_slice($bass, 0, 4)))->toBe([0.47, 0.47, 0.47, 0.47])
        ->and(array_map(static fn (Event $event): float => round($event->t, 6), array_slice($bass, 0, 4)))->toBe([0.0, 0.5, 1.0, 1.5]);
});

it('moves the pitch of a stroke as its ornament says, to where it ends', function (string $kind, int $frets, float $from, float $to): void {
    $ornament = ['ornament' => ['kind' => $kind, 'frets' => $frets]];
    $timeline = (new Performer())->perform(withStrokes([['at' => 0, 'division' => 1, 'strings' => [2]] + $ornament]));
    $glide = eventsOf($timeline, Instrument::Guitar)[0]->glide;
    $times = array_column($glide, 0);
    $sorted = $times;
    sort($sorted);

    expect([$glide[0][1], end($glide)[1]])->toBe([$from, $to])->and($times)->toBe($sorted)->and($glide[0][0])->toBe(0.0);
})->with([
    ['slide-in', -2, -2.0, 0.0], ['slide-out', 5, 0.0, 5.0], ['hammer-on', -2, -2.0, 0.0], ['pull-off', 2, 2.0, 0.0], ['grace', -1, -1.0, 0.0],
    ['bend', 2, 0.0, 2.0], ['bend-release', 2, 0.0, 0.0], ['bent', 1, 1.0, 1.0], ['release', 2, 2.0, 0.0],
]);

it('plays every part as loud as it is set', function (): void {
    $loud = static fn (float $level): array => eventsOf(
        (new Performer())->perform(Examples::breakdown(['band' => [
            'groove' => 'shuffle',
            'parts' => [['name' => 'bass', 'level' => $level, 'offsetMs' => 0, 'straight' => false]],
        ]])),
        Instrument::Bass,
    );
    $half = $loud(0.5);
    foreach ($loud(1.0) as $number => $event) {
        expect($half[$number]->velocity)->toEqualWithDelta($event->velocity / 2, 1e-9);
    }
    expect($half)->not->toBe([]);
});

it('shakes the pitch five and a half times a second for as long as the note lasts', function (): void {
    $strokes = [['at' => 0, 'division' => 1, 'length' => ['until' => 960], 'ornament' => ['kind' => 'vibrato', 'frets' => 0]]];
    $glide = eventsOf(performed(withStrokes($strokes, ['tempo' => 60])), Instrument::Guitar)[0]->glide;

    expect(array_column($glide, 0))->toEqualWithDelta(array_map(static fn (int $turn): float => $turn / 11, range(0, 10)), 1e-9)
        ->and(array_column($glide, 1))->toBe([0.0, ...array_merge(...array_fill(0, 5, [0.35, 0.0]))]);
});

it('lets a string ring while the pick is on its way to it, one with a length of its own not', function (?array $length, bool $onItsWay): void {
    $timeline = performed(withStrokes(
        [['at' => 0, 'division' => 1, 'length' => $length], ['at' => 960, 'division' => 1]],
        ['sections' => [['name' => 'A', 'line' => '| Dm |']]],
    ));
    $events = eventsOf($timeline, Instrument::Guitar);
    $first = array_values(array_filter($events, static fn (Event $event): bool => $event->t < 0.4));
    $last = end($first) ?: throw new LogicException('No string was struck.');
    $again = array_values(array_filter($events, static fn (Event $event): bool => $event->t >= 0.4 && $event->string === $last->string))[0];

    expect($again->t)->toBeGreaterThan(0.51)
        ->and($last->t + $last->dur)->toEqualWithDelta($onItsWay ? $again->t : 0.5, 1e-9);
})->with(['until it is struck' => [null, true], 'for a beat' => [['until' => 960], false]]);

it('knows the bar of every moment, its last one to the end', function (): void {
    $timeline = performed(Examples::breakdown(['tempo' => 120]));

    expect(array_map($timeline->barAt(...), [-1.0, 0.0, 1.999, 2.0, 3.999, 4.0, 5.999, 6.0]))->toBe([0, 0, 0, 1, 1, 2, 2, 3]);
});

it('crosses strings in half the gap at most, and a single one at once', function (int $accent, int $strings, float $gap, float $seconds): void {
    expect(Sweep::secondsBetweenStrings(new Stroke(0, 1, accent: $accent), $strings, $gap))->toEqualWithDelta($seconds, 1e-12);
})->with([
    'soft' => [0, 6, 1.0, 0.010], 'firm' => [1, 6, 1.0, 0.008], 'hard' => [2, 6, 1.0, 0.006], 'hardest' => [3, 6, 1.0, 0.0045],
    'no time' => [1, 6, 0.05, 0.005], 'two strings, no time' => [1, 2, 0.01, 0.005], 'one string' => [1, 1, 1.0, 0.0],
]);

it('finds the coarsest division that has a place of the beat', function (int $within, int $beat, int $division): void {
    expect(Divisions::of($within, $beat))->toBe($division);
})->with([
    [0, 960, 1], [480, 960, 2], [320, 960, 3], [640, 960, 3], [240, 960, 4], [720, 960, 4], [160, 960, 6], [800, 960, 6], [480, 1440, 3], [720, 1440, 2],
]);
