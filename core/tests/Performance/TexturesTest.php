<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Tests\Support\Examples;

/**
 * Four bars of quarters at 120 with drums; one pass with these cells.
 *
 * @param list<array<string, mixed>> $cells
 * @param array<string, mixed>       $section
 * @param array<string, mixed>       $fields
 */
function fourBarSong(array $cells, array $section = [], string $line = '| Dm | Dm A7 | Dm | A7 |', array $fields = []): Timeline
{
    $pattern = static fn (string $id, string $slots): array => ['id' => $id, 'name' => '', 'meter' => '4/4', 'school' => 'all-down']
        + (new PatternJson())->write(Examples::pattern($slots, '4/4', 1));

    return (new Performer())->perform((new BreakdownJson())->read($fields + [
        'start' => ['key' => 'D minor', 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing(1)],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => $line] + $section],
        'form' => [['section' => 'a', 'times' => 1]],
        'patterns' => [$pattern('p1', 'xxxxxxxx'), $pattern('p2', 'x.....x.')],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => $cells]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'parts' => [
            ['id' => 'guitar', 'instrument' => 'guitar', 'level' => 0.8, 'offsetMs' => 0, 'straight' => false],
            ['id' => 'drums', 'instrument' => 'drums', 'level' => 0.8, 'offsetMs' => 0, 'straight' => false, 'groove' => 'straight-drive'],
        ],
        'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full()));
}

/** Two bars of quarters; three frets walk up to the chord that begins the third. */
function walkingSong(): Timeline
{
    return fourBarSong([], [], '| Dm | Dm | G7 | G7 |', [
        'moves' => [['id' => 'm1', 'name' => '', 'rule' => ['kind' => 'walk-up', 'steps' => 3, 'slotTicks' => 480]]],
        'placed' => [['what' => 'm1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 2, 'tick' => 0], 'symbol' => 'G7']],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => [
            [
                'at' => ['section' => 'a', 'ending' => null, 'bar' => 2, 'tick' => 0],
                'symbol' => 'G7',
                'frets' => [null, 10, 9, 10, 8, null],
            ],
        ]]],
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
    ]);
}

/** @return list<float> quarters from the start */
function quartersStruck(Timeline $timeline): array
{
    return array_map(static fn (PlayedStroke $stroke): float => $stroke->tick / 960, $timeline->strokes);
}

it('strikes each chord of a ringing bar once, and lets it ring until it changes', function (): void {
    $timeline = fourBarSong([['part' => 'guitar', 'section' => 'a', 'bars' => [1, 2], 'texture' => 'rings']]);
    $ringing = array_values(
        array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => in_array($stroke->bar, [1, 2], true)),
    );

    expect(array_map(static fn (PlayedStroke $stroke): float => $stroke->tick / 960, $ringing))->toBe([4.0, 6.0, 8.0])
        ->and($ringing[1]->ends)->each->toEqualWithDelta(4.0, 1e-9)->and($ringing[2]->ends)->each->toEqualWithDelta(6.0, 1e-9);
});

it('begins a pattern that single bars have of their own with them, and keeps the section\'s where it was', function (): void {
    $timeline = fourBarSong([
        ['part' => 'guitar', 'section' => 'a', 'pattern' => 'p2'],
        ['part' => 'guitar', 'section' => 'a', 'bars' => [1], 'pattern' => 'p1'],
    ]);

    // p2 has two bars: a quarter on 1, then one on 3; bar 2 is p1, so bar 4 has the second half of p2 again.
    expect(quartersStruck($timeline))->toBe([0.0, 4.0, 5.0, 6.0, 7.0, 8.0, 14.0]);
});

it('is silent in bars in which it is out, drums too', function (): void {
    $timeline = fourBarSong([
        ['part' => 'guitar', 'section' => 'a', 'bars' => [2], 'role' => 'out'],
        ['part' => 'drums', 'section' => 'a', 'bars' => [3], 'role' => 'out'],
    ]);
    $drums = array_filter($timeline->events, static fn (Event $event): bool => $event->part->id === 'drums');

    expect(array_filter(quartersStruck($timeline), static fn (float $quarter): bool => $quarter >= 8 && $quarter < 12))->toBe([])
        ->and(max(array_map(static fn (Event $event): float => $event->t, $drums)))->toBeLessThan(6.0)->toBeGreaterThan(5.0);
});

it('is as loud as the song is there, and louder or softer by its own levels', function (): void {
    $dynamics = ['dynamics' => [['bar' => 0, 'level' => 2], ['bar' => 2, 'level' => 4, 'grows' => true]]];
    $loud = static function (Timeline $timeline, string $part): array {
        $first = [];
        foreach ($timeline->events as $event) {
            $first[(int) floor($event->t / 2 + 1e-9)] ??= null;
            if ($event->part->id === $part && abs(fmod($event->t + 1e-9, 2.0)) < 1e-6) {
                $first[(int) floor($event->t / 2 + 1e-9)] ??= $event->velocity;
            }
        }

        return array_values($first);
    };
    $db = static fn (array $loud, array $against): array => array_map(
        static fn (?float $one, ?float $other): float => 20 * log10($one / $other),
        $loud,
        $against,
    );
    $plain = fourBarSong([]);
    $own = [
        ['part' => 'guitar', 'section' => 'a', 'bars' => [0], 'dynamic' => -1],
        ['part' => 'guitar', 'section' => 'a', 'bars' => [1], 'dynamic' => 1],
    ];

    expect($db($loud(fourBarSong($own, $dynamics), 'guitar'), $loud($plain, 'guitar')))->toEqualWithDelta([-8, 4, 4, 4], 1e-6)
        // What would be louder than there is room for is as loud as there is room.
        ->and(array_slice($db($loud(fourBarSong([], $dynamics), 'drums'), $loud($plain, 'drums')), 0, 2))->toEqualWithDelta([-4, 0], 1e-6)
        ->and(max(array_column(fourBarSong([], $dynamics)->events, 'velocity')))->toBe(1.0);
});

it('rings in its own bars alone, up to where the next pattern begins', function (): void {
    $timeline = fourBarSong([
        ['part' => 'guitar', 'section' => 'a', 'bars' => [0], 'texture' => 'rings'],
        ['part' => 'guitar', 'section' => 'a', 'bars' => [1, 2, 3], 'role' => 'out'],
    ]);

    expect(quartersStruck($timeline))->toBe([0.0])->and($timeline->strokes[0]->gain)->toBe(1.0)
        ->and([$timeline->strokes[0]->slot, $timeline->strokes[0]->bar])->toBe([0, 0]);
});

it('walks to a chord by strokes of its own, down on the beat and up between, each with the pattern\'s slots', function (): void {
    $timeline = walkingSong();
    $walk = array_values(
        array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $stroke->bar === 1 && $stroke->tick >= 3840 + 2400),
    );

    expect(array_map(static fn (PlayedStroke $stroke): array => [
        $stroke->tick - 3840, $stroke->stroke->direction?->value, $stroke->slot, round($stroke->t, 6),
    ], $walk))->toBe([[2400, 'up', 2, 3.25], [2880, 'down', 3, 3.5], [3360, 'up', 3, 3.75]])
        ->and(array_map(static fn (PlayedStroke $stroke): int => $stroke->voicing->position, $walk))
        ->toBe([$walk[2]->voicing->position - 2, $walk[2]->voicing->position - 1, $walk[2]->voicing->position]);
});
