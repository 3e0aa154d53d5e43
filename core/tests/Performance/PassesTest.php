<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Tests\Support\Examples;

/**
 * A song of two sections in two passes, with a pattern for each.
 *
 * @param array<string, mixed> $fields
 */
function twoPasses(array $fields = []): Timeline
{
    $pattern = static fn (string $id, string $slots, string $meter = '4/4'): array => [
        'id' => $id,
        'name' => $id,
        'meter' => $meter,
        'school' => 'pendulum',
    ]
        + (new PatternJson())->write(Examples::pattern($slots, $meter, 1));

    return (new Performer())->perform((new BreakdownJson())->read($fields + [
        'start' => ['key' => 'D minor', 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing(1)],
        'sections' => [
            ['id' => 'a', 'name' => 'A', 'line' => '| Dm | A7 | Dm |'],
            ['id' => 'b', 'name' => 'B', 'line' => '| F | C |', 'from' => ['meter' => '3/4', 'tempo' => 60]],
        ],
        'form' => [['section' => 'a', 'times' => 1], ['section' => 'b', 'times' => 1]],
        'patterns' => [$pattern('two', 'x...xx..'), $pattern('waltz', 'xxx', '3/4'), $pattern('solo', '.x.x')],
        'passes' => [
            ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
            [
                'id' => '2',
                'name' => '',
                'notes' => '',
                'cells' => [
                    ['part' => 'guitar', 'section' => 'a', 'pattern' => 'solo', 'line' => 'high'],
                    ['part' => 'drums', 'role' => 'out'],
                ],
            ],
        ],
        'lines' => [
            ['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []],
            [
                'id' => 'high',
                'name' => '',
                'company' => 'with-bass',
                'wishes' => ['window' => '7-15', 'keepTop' => false] + Examples::full()['lines'][0]['wishes'],
                'pins' => [],
            ],
        ],
        'cells' => [], 'placed' => [], 'moves' => [],
        'parts' => [
            ['id' => 'guitar', 'instrument' => 'guitar', 'level' => 0.8, 'offsetMs' => 0, 'straight' => false],
            ['id' => 'drums', 'instrument' => 'drums', 'level' => 0.8, 'offsetMs' => 0, 'straight' => false, 'groove' => 'straight-drive'],
        ],
    ] + Examples::full()));
}

/** @return list<array{int, int}> bar and tick within it, of the guitar's strokes */
function struckIn(Timeline $timeline): array
{
    return array_map(
        static fn (PlayedStroke $stroke): array => [$stroke->bar, $timeline->map->at($stroke->tick)->inBar($stroke->tick)],
        $timeline->strokes,
    );
}

it('plays each section of each pass with its own pattern, which begins anew with it', function (): void {
    expect(struckIn(twoPasses()))->toBe([
        [0, 0], [1, 0], [1, 960], [2, 0],
        [3, 0], [3, 960], [3, 1920], [4, 0], [4, 960], [4, 1920],
        [5, 960], [5, 2880], [6, 960], [6, 2880], [7, 960], [7, 2880],
        [8, 0], [8, 960], [8, 1920], [9, 0], [9, 960], [9, 1920],
    ]);
});

it('lets a pattern that runs on go through sections that follow one another with it', function (): void {
    $two = ['id' => 'two', 'name' => '', 'meter' => '4/4', 'school' => 'pendulum']
        + (new PatternJson())->write(Examples::pattern('x...xx..', '4/4', 1));
    $fields = [
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm |'], ['id' => 'b', 'name' => 'B', 'line' => '| A7 |']],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []]],
        'form' => [['section' => 'a', 'times' => 1], ['section' => 'b', 'times' => 1]],
    ];

    expect(struckIn(twoPasses(['patterns' => [$two]] + $fields)))->toBe([[0, 0], [1, 0]])
        ->and(struckIn(twoPasses(['patterns' => [['runsOn' => true] + $two]] + $fields)))->toBe([[0, 0], [1, 0], [1, 960]]);
});

it('keeps the band’s seconds through a change of meter and tempo, and silent where it is out', function (): void {
    $timeline = twoPasses();
    $drums = array_values(array_filter(
        $timeline->events,
        static fn (Event $event): bool => $event->part->instrument === Instrument::Drums,
    ));

    // Three bars of two seconds, two of three seconds; then the second pass without drums.
    expect($timeline->seconds)->toEqualWithDelta(24.0, 1e-9)
        ->and(max(array_map(static fn (Event $event): float => $event->t, $drums)))->toBeLessThan(12.0)
        ->and($timeline->strokes[4]->t)->toEqualWithDelta(6.0, 1e-9)->and($timeline->strokes[5]->t)->toEqualWithDelta(7.0, 1e-9)
        ->and([$timeline->barAt(6.1), $timeline->barAt(9.5), $timeline->barAt(24.5)])->toBe([3, 4, 10])
        ->and($timeline->secondsOfBars(14))->toEqualWithDelta(24 + 9, 1e-9);
});

it('takes each pass’s grips from its own line, and lets go of the old ones where the line changes', function (): void {
    $timeline = twoPasses();
    $low = $timeline->voiced['low']->path->voicings[0]->frets;
    $high = $timeline->voiced['high']->path->voicings[0]->frets;

    expect($low)->not->toBe($high)
        ->and($timeline->strokes[0]->voicing->frets)->toBe($low)->and($timeline->strokes[10]->voicing->frets)->toBe($high);
    foreach ($timeline->strokes as $place => $stroke) {
        $next = $timeline->strokes[$place + 1] ?? null;
        if ($next !== null && $next->voicing->frets !== $stroke->voicing->frets) {
            expect(max($stroke->ends))->toBeLessThanOrEqual($next->t + 0.5);
        }
    }
});

it('counts the slots of both patterns through, and finds the one a stray stroke lies nearest to', function (): void {
    $timeline = twoPasses();

    // Eight slots of the first, three of the waltz, four of the solo's.
    expect(array_map(
        static fn ($hand): array => [$hand->named->id, $hand->firstSlot],
        $timeline->hands(),
    ))->toBe([['two', 0], ['waltz', 8], ['solo', 11]])
        ->and($timeline->slotNear(0.52))->toBe(1)->and($timeline->slotNear(7.1))->toBe(9)->and($timeline->slotNear(12.6))->toBe(12);
});
