<?php

declare(strict_types=1);

use Gravik\Tests\Support\Examples;

beforeEach(fn () => $this->actingAs($this->teacher()));

/** @return array<string, mixed> a song of two bars that comes once in each of two passes */
function pierSong(): array
{
    return [
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm | A7 |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full();
}

it('adds, copies, moves and takes passes out', function (): void {
    $ids = fn (string $what, array $told): array => array_column(
        $this->postJson("/api/compute/{$what}", ['document' => pierSong()] + $told)->assertOk()->json('document.passes'),
        'id',
    );

    expect($ids('add-pass', []))->toBe(['1', '2', '3'])->and($ids('add-pass', ['like' => '1']))->toBe(['1', '3', '2'])
        ->and($ids('move-pass', ['pass' => '2', 'position' => 0]))->toBe(['2', '1'])
        ->and($ids('without-pass', ['pass' => '1']))->toBe(['2']);
    $this->postJson('/api/compute/without-pass', ['document' => pierSong(), 'pass' => 'nobody'])
        ->assertUnprocessable()->assertJsonPath('message', 'There is no pass "nobody" in this breakdown.');
});

it('sets what bars of a pass are made of, and tells it with the timeline', function (): void {
    $document = $this->postJson('/api/compute/cell', [
        'document' => pierSong(), 'pass' => '2', 'section' => 'a', 'bars' => [1], 'texture' => 'rings', 'dynamic' => -1, 'note' => 'under the voice',
    ])->assertOk()->json('document');
    $timeline = $this->postJson('/api/compute/timeline', ['document' => $document])->assertOk()->json();

    expect($document['passes'][1]['cells'])->toBe([
        ['part' => 'guitar', 'section' => 'a', 'bars' => [1], 'texture' => 'rings', 'dynamic' => -1, 'note' => 'under the voice'],
    ])
        ->and(array_column($timeline['bars'], 'texture'))->toBe(['pattern', 'pattern', 'pattern', 'rings'])
        ->and($timeline['bars'][3]['loud'])->toBe([2, 2])
        ->and(array_column($timeline['passes'], 'differs'))->toBe(['', 'As the 1st, but bar 2 ringing only; bar 2 softer.']);
    $cleared = $this->postJson('/api/compute/cell', [
        'document' => $document, 'pass' => '2', 'section' => 'a', 'bars' => [1], 'as_above' => ['texture', 'dynamic', 'note'],
    ])->assertOk()->json('document.passes.1.cells');
    expect($cleared)->toBe([]);
});

it('refuses what a cell cannot be, in words', function (array $told, string $message): void {
    $this->postJson('/api/compute/cell', ['document' => pierSong(), 'pass' => '2'] + $told)
        ->assertUnprocessable()->assertJsonPath('message', $message);
})->with([
    'bars of no section' => [['bars' => [1], 'level' => 1], 'Bars are bars of a section that is named, counted from 0.'],
    'a section that is not there' => [['section' => 'z', 'level' => 1], '"z" is none of the sections of this breakdown.'],
    'a pattern that is not there' => [['pattern' => 'z'], '"z" is none of the patterns of this breakdown.'],
    'a level of five' => [['level' => 5], 'A pattern has levels 1, 2 and 3.'],
    'a note of two pages' => [['note' => str_repeat('a', 121)], 'A note has at most 120 characters.'],
]);

it('forks a section into endings and joins it again', function (): void {
    $forked = $this->postJson(
        '/api/compute/fork-ending',
        ['document' => pierSong(), 'section' => 'a', 'bars' => 1],
    )->assertOk()->json('document');
    $chart = $this->postJson('/api/compute/chart', ['document' => $forked])->assertOk()->json('sections.0');

    expect($forked['sections'][0]['endings'])->toBe(
        [['times' => [1], 'line' => '| A7 |'], ['times' => [], 'line' => '| A7 |', 'passes' => ['2']]],
    )
        ->and(
            [$chart['bars'][0]['number'], $chart['endings'][0]['bars'][0]['number'], $chart['endings'][1]['bars'][0]['number']],
        )->toBe([1, 2, 2])
        ->and(array_column(array_column(array_column($chart['endings'], 'bars'), 0), 'written'))->toBe([1, 2]);
    $this->postJson('/api/compute/without-ending', ['document' => $forked, 'section' => 'a', 'ending' => 1])
        ->assertOk()->assertJsonPath('document.sections.0.line', '| Dm | A7 |');
});

it('reads a figure, lays it out under the hand, keeps it and plays it', function (): void {
    $told = ['document' => pierSong(), 'pass' => '2', 'section' => 'a', 'bar' => 1, 'typed' => ['1=3:2+2:2 (&) 2=1:0h3 (3) (4)']];
    $laid = $this->postJson('/api/compute/figure', $told + ['near' => 2])->assertOk()->json();
    $kept = $this->postJson(
        '/api/compute/keep-figure',
        $told + ['name' => 'answer', 'passes' => ['2'], 'near' => 2],
    )->assertOk()->json('document');
    $strokes = $this->postJson('/api/compute/timeline', ['document' => $kept])->assertOk()->json('strokes');

    expect($laid)->toMatchArray(['over' => 'A7', 'strings' => 6, 'missing' => 0, 'bars' => 1, 'near' => 2])
        ->and(array_column($laid['steps'][0]['notes'], 'degree'))->toBe(['R', '3'])
        ->and($kept['placed'])->toBe(
            [['what' => 'f1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 1, 'tick' => 0], 'passes' => ['2'], 'near' => 2]],
        )
        ->and(array_column(array_filter($strokes, static fn (array $stroke): bool => $stroke['bar'] === 3), 'strings'))->toBe([[3, 2], [1]])
        // Read again by its id it is as it was typed.
        ->and(
            $this->postJson('/api/compute/figure', ['document' => $kept, 'id' => 'f1', 'typed' => []] + $told)->json('typed'),
        )->toBe($told['typed'])
        ->and($this->postJson(
            '/api/compute/place-figure',
            ['document' => $kept, 'id' => null, 'passes' => ['2']] + $told,
        )->json('document.placed'))->toBe([])
        ->and(
            $this->postJson('/api/compute/place-figure', ['document' => $kept, 'id' => 'f1', 'bar' => 0] + $told)->json('document.placed'),
        )->toHaveCount(2);
    $ornaments = $this->postJson(
        '/api/compute/figure',
        ['typed' => ['1=2:4s5 2=2:6s5 3=3:5g6+2:3h5 4=2:8b10 | 1=2:8B10 2=2:8r10 3=2:7p5 (4)']] + $told,
    );
    expect(
        array_merge(
            ...array_map(static fn (array $step): array => array_column($step['notes'], 'tab'), $ornaments->assertOk()->json('steps')),
        ),
    )
        ->toBe(['4/5', '6\\5', '(5)6', '3h5', '8b10', '8B10', '8r10', '7p5']);
    $this->postJson('/api/compute/figure', ['typed' => ['1=9:9 2 3 4']] + $told)->assertUnprocessable()->assertJsonPath('at', 2);
    $this->postJson('/api/compute/place-figure', ['id' => 'nobody'] + $told)->assertUnprocessable();
});

it('fixes notes of a figure, gives it a rhythm and a second line, and says how the notes are had over the grip', function (): void {
    $told = ['document' => pierSong(), 'pass' => '2', 'section' => 'a', 'bar' => 1, 'typed' => ['3:2 2:2 1:3'], 'instead' => false];
    $fixed = [
        ['stream' => 0, 'tick' => 960, 'note' => 2, 'string' => 3, 'fret' => 6],
        ['stream' => 0, 'tick' => 100, 'note' => 2, 'string' => 3, 'fret' => 6],
    ];
    $laid = $this->postJson('/api/compute/figure', $told + ['rhythm' => '1 2 (3) 4', 'fixed' => $fixed])->assertOk()->json();
    $kept = $this->postJson(
        '/api/compute/keep-figure',
        ['typed' => $laid['typed']] + $told + ['passes' => ['2'], 'fixed' => $fixed],
    )->assertOk()->json('document');
    $chords = $this->postJson('/api/compute/figure', $told + ['punctuate' => true])->assertOk()->json();
    $exchanged = $this->postJson(
        '/api/compute/figure',
        ['typed' => $chords['typed']] + $told + ['exchange' => ['from' => 0, 'until' => 480]],
    );

    expect($laid['typed'])->toBe(['1=3:2 2=2:2 (3) 4=1:3'])
        ->and(array_column($laid['steps'][1]['notes'], 'fixed'))->toBe([true])
        ->and($laid['steps'][1]['notes'][0])->toMatchArray(['string' => 3, 'fret' => 6, 'note' => 2])
        ->and($laid['holds'])->toBeTrue()
        ->and(
            array_filter(array_merge(...array_column($laid['steps'], 'notes')), static fn (array $note): bool => $note['way'] === null),
        )->toBe([])
        ->and($kept['placed'][0]['fixed'])->toBe([$fixed[0]])
        ->and($chords['rooms'])->toBe(['the “&” of beat 2'])
        ->and($chords['typed'])->toBe(['1=3:2 &=2:2 2=1:3 (&) (3) (4)', '(1) (2) &. (3) (4)'])
        ->and($exchanged->assertOk()->json('typed'))->toBe(['(1) &=2:2 2=1:3 (&) (3) (4)', '1=3:2 (&) (2) &. (3) (4)']);
    $this->postJson('/api/compute/figure', $told + ['rhythm' => '1 2 (3) (4)'])->assertUnprocessable()
        ->assertJsonPath('message', 'This rhythm has 2 strokes and the figure 3. Take a rhythm with more strokes, or take notes out.');
    $this->postJson('/api/compute/figure', $told + ['exchange' => ['from' => 0, 'until' => 480]])->assertUnprocessable();
    $this->postJson('/api/compute/figure', $told + ['fixed' => [['string' => 9]]])->assertUnprocessable();
});

it('plans a register for every pass, answers a figure, and keeps a melody', function (): void {
    $told = ['document' => pierSong(), 'pass' => '1', 'section' => 'a', 'bar' => 0];
    $figure = $this->postJson(
        '/api/compute/keep-figure',
        $told + ['typed' => ['6:5 5:3 5:5'], 'over' => 'A7'],
    )->assertOk()->json('document');
    $plan = $this->postJson('/api/compute/registers', ['document' => $figure, 'id' => 'f1'])->assertOk()->json();
    $answer = $this->postJson(
        '/api/compute/answer',
        ['document' => $figure, 'id' => 'f1', 'bars' => 2] + $told,
    )->assertOk()->json('document');
    $melody = $this->postJson('/api/compute/keep-melody', $told + ['melody' => 'A4 C5 | E5 D5'])->assertOk()->json('document');

    expect(array_column($plan['passes'], 'pass'))->toBe(array_column(pierSong()['passes'], 'id'))
        ->and(array_unique(array_column($plan['passes'], 'words')))->toHaveCount(count($plan['passes']))
        ->and(count($plan['document']['placed']))->toBe(count($plan['passes']))
        ->and(array_column($answer['figures'], 'name'))->toBe(['', 'answer to f1'])
        ->and(array_column($melody['figures'], 'name'))->toBe(['melody, bars 1–2'])
        ->and(count($melody['figures'][0]['streams']))->toBe(2);
    $this->postJson('/api/compute/answer', ['document' => $figure, 'id' => 'f1', 'bars' => 1] + $told)->assertUnprocessable();
    $this->postJson('/api/compute/registers', ['document' => $figure, 'id' => 'nobody'])->assertUnprocessable();
    $this->postJson('/api/compute/keep-melody', $told + ['melody' => 'A4 | A4 | A4 | A4 | A4 | A4'])->assertUnprocessable();
});

it('lays a move over a bar of one pass, and refuses moves that are none', function (): void {
    $told = ['document' => pierSong(), 'pass' => '2', 'section' => 'a', 'bar' => 0];
    $document = $this->postJson('/api/compute/lay-move', $told + ['move' => 'push'])->assertOk()->json('document');
    $bars = $this->postJson('/api/compute/timeline', ['document' => $document])->assertOk()->json('strokes');
    $last = static fn (int $bar): array => array_values(array_filter($bars, static fn (array $stroke): bool => $stroke['bar'] === $bar));

    expect($document['placed'])->toBe(
        [['what' => 'f1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 0, 'tick' => 0], 'passes' => ['2']]],
    )
        ->and($document['figures'][0]['name'])->toBe('push')
        // The next chord, the last of four, half a beat early.
        ->and(array_slice(array_column($last(2), 'chord'), -1))->toBe([3])
        ->and($this->getJson('/api/choices')->json('moves.0'))->toBe(
            ['slug' => 'push', 'words' => 'push', 'why' => 'the next chord comes half a beat early'],
        );
    $this->postJson('/api/compute/lay-move', $told + ['move' => 'somersault'])->assertUnprocessable()
        ->assertJsonPath('message', 'A move is one of push, open-string-hop, muted-fill, signal-accent, stab-answer, grace-hammer.');
    $this->postJson('/api/compute/lay-move', ['bar' => 40] + $told + ['move' => 'push'])->assertUnprocessable();
    $this->postJson('/api/compute/lay-move', $told + ['move' => 'muted-fill', 'slots' => 0])->assertJsonValidationErrors('slots');
});

it('records what a bar plays as a move, finds it in another song, and forgets it', function (): void {
    $at = ['document' => pierSong(), 'pass' => '1', 'section' => 'a', 'bar' => 1];
    $figure = $this->postJson(
        '/api/compute/keep-figure',
        $at + ['typed' => ['1=3:2+2:2 (&) 2=1:0h3 (3) (4)'], 'passes' => ['1']],
    )->json('document');
    $answer = $this->postJson(
        '/api/moves',
        ['document' => $figure, 'name' => ' answer '] + $at,
    )->assertOk()->assertJsonPath('name', 'answer')->json();
    $strokes = $this->postJson('/api/moves', $at + ['name' => 'groove'])->assertOk()->json();
    $this->postJson('/api/moves', $at + ['name' => 'groove'])->assertOk()->assertJsonPath('id', $strokes['id']);
    $played = $this->postJson("/api/moves/{$answer['id']}/play", ['pass' => '2', 'bar' => 0] + $at)->assertOk()->json('document');
    $again = $this->postJson("/api/moves/{$answer['id']}/play", ['document' => $played, 'pass' => '2'] + $at)->assertOk()->json('document');

    expect(array_column($this->getJson('/api/moves')->json(), 'name'))->toBe(['answer', 'groove'])
        ->and($played['figures'][0]['name'])->toBe('answer')->and(
            ['name' => ''] + $played['figures'][0],
        )->toEqual(['name' => ''] + $figure['figures'][0])
        ->and($played['placed'])->toBe(
            [['what' => 'f1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 0, 'tick' => 0], 'passes' => ['2']]],
        )
        ->and($again['figures'])->toHaveCount(1)->and($again['placed'])->toHaveCount(2);
    $this->deleteJson("/api/moves/{$answer['id']}")->assertNoContent();
    $this->postJson("/api/moves/{$answer['id']}/play", $at)->assertNotFound();
});

it('lets nobody else see, play or forget a move, and says what is wrong with one', function (): void {
    $at = ['document' => pierSong(), 'pass' => '1', 'section' => 'a', 'bar' => 1];
    $move = $this->postJson('/api/moves', $at + ['name' => 'groove'])->json('id');
    $waltz = ['start' => ['meter' => '3/4'] + pierSong()['start'], 'patterns' => [
        [
            'id' => 'p1',
            'name' => '',
            'meter' => '3/4',
            'school' => 'pendulum',
            'ticks' => 2880,
            'streams' => [['name' => 'chords', 'strokes' => []]],
        ],
    ]] + pierSong();
    $this->postJson('/api/moves', $at + ['name' => ''])->assertJsonValidationErrors('name');
    $this->postJson('/api/moves', ['bar' => 9] + $at + ['name' => 'nowhere'])->assertUnprocessable()
        ->assertJsonPath('message', 'There is no bar 10 here: this part of section "A" has 2.');
    $this->postJson("/api/moves/{$move}/play", ['document' => $waltz] + $at)->assertUnprocessable();
    $this->postJson("/api/moves/{$move}/play", ['bar' => 9] + $at)->assertUnprocessable();
    $this->actingAs($this->teacher('Other'))->getJson('/api/moves')->assertExactJson([]);
    $this->postJson("/api/moves/{$move}/play", $at)->assertNotFound();
    $this->deleteJson("/api/moves/{$move}")->assertNotFound();
});
