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
 */
function fourBarSong(array $cells, array $section = [], string $line = '| Dm | Dm A7 | Dm | A7 |'): Timeline
{
    $pattern = static fn (string $id, string $slots): array => ['id' => $id, 'name' => '', 'meter' => '4/4', 'school' => 'all-down']
        + (new PatternJson())->write(Examples::pattern($slots, '4/4', 1));

    return (new Performer())->perform((new BreakdownJson())->read([
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

/** @return list<float> quarters from the start */
function quartersStruck(Timeline $timeline): array
{
    return array_map(static fn (PlayedStroke $stroke): float => $stroke->tick / 960, $timeline->strokes);
}

it('strikes each chord of a ringing bar once, and lets it ring until it changes', function (): void {
    $timeline = fourBarSong([['part' => 'guitar', 'section' => 'a', 'bars' => [1, 2], 'texture' => 'rings']]);
    $ringing = array_values(array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => in_array($stroke->bar, [1, 2], true)));

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
    $own = [['part' => 'guitar', 'section' => 'a', 'bars' => [0], 'dynamic' => -1], ['part' => 'guitar', 'section' => 'a', 'bars' => [1], 'dynamic' => 1]];

    expect($db($loud(fourBarSong($own, $dynamics), 'guitar'), $loud($plain, 'guitar')))->toEqualWithDelta([-8, 4, 4, 4], 1e-6)
        // What would be louder than there is room for is as loud as there is room.
        ->and(array_slice($db($loud(fourBarSong([], $dynamics), 'drums'), $loud($plain, 'drums')), 0, 2))->toEqualWithDelta([-4, 0], 1e-6)
        ->and(max(array_column(fourBarSong([], $dynamics)->events, 'velocity')))->toBe(1.0);
});
