<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;

it('carries an old document’s places, walks, parts and gates over by id', function (): void {
    $song = (new BreakdownJson())->write((new BreakdownJson())->read(Examples::old()));

    expect($song['form'])->toBe([['section' => 's1', 'times' => 1], ['section' => 's2', 'times' => 1]])
        ->and($song['lines'][0]['pins'][0]['at'])->toBe(['section' => 's1', 'ending' => null, 'bar' => 0, 'tick' => 0])
        ->and($song['moves'])->toBe([['id' => 'm1', 'name' => '', 'rule' => ['kind' => 'walk-up', 'steps' => 3, 'slotTicks' => 480]]])
        ->and($song['placed'])->toBe([['what' => 'm1', 'at' => $song['lines'][0]['pins'][0]['at'], 'symbol' => 'Dm6']])
        ->and(array_column($song['parts'], 'level', 'id'))->toBe(['drums' => 0.5, 'bass' => 0.8, 'guitar' => 0.8])
        ->and(array_column($song['parts'], 'groove', 'id'))->toBe(['drums' => 'shuffle', 'bass' => 'shuffle'])
        ->and($song['lesson'][0]['stage'])->toBe('damped-rhythm');
});

it('lets an old pattern run on only where a new beginning would sound otherwise', function (array $lines, bool $runsOn): void {
    $sections = array_map(static fn (string $line): array => ['name' => 'A', 'line' => $line], $lines);

    expect(Examples::breakdown(['sections' => $sections], 'xxxx....xx..xx..', 2)->patterns[0]->runsOn)->toBe($runsOn);
})->with([
    'one section' => [['| Dm |'], false],
    'sections of whole rounds' => [['| Dm | A7 |', '| Dm |'], false],
    'a section that breaks off half way' => [['| Dm |', '| A7 | Dm |'], true],
    'empty ones in between' => [['| Dm | A7 |', '', '| Dm |'], false],
]);

it('puts walks of one kind under one move, and leaves out what held to no section', function (): void {
    $walk = static fn (int $section, int $bar): array => [
        'section' => $section,
        'bar' => $bar,
        'at' => 0,
        'symbol' => 'Dm',
        'kind' => 'walk-up',
        'steps' => 2,
        'slotTicks' => 480,
    ];
    $pin = ['section' => 7, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]];
    $breakdown = Examples::breakdown(['approaches' => [$walk(0, 0), $walk(0, 1), $walk(7, 0)], 'pins' => [$pin]]);

    expect([count($breakdown->moves), count($breakdown->placed), $breakdown->lines[0]->pins])->toBe([1, 2, []]);
});
