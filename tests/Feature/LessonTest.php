<?php

declare(strict_types=1);

use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

it('plans the lesson of a song, with one stage opened', function (): void {
    $document = Examples::document([], 'X.c.x.c.');
    $lesson = $this->actingAs($this->teacher())->postJson('/api/compute/lesson', ['document' => $document, 'stage' => 'releases'])
        ->assertOk()->json();
    $byKey = array_column($lesson['stages'], null, 'key');

    expect(array_column($lesson['stages'], 'number'))->toBe(range(1, count($lesson['stages'])))
        ->and($byKey['releases']['changes'])->toBe('dry 2, 4')
        ->and($byKey['releases']['climb']['minutes'])->toBeLessThanOrEqual(8)
        ->and($byKey['shapes']['backing']['id'])->toBe('nothing')
        ->and($lesson['open'])->toMatchArray(['key' => 'releases', 'own_say' => false])
        ->and(array_column($lesson['open']['figures'], 'rings_ms', 'count')['2'])->toBeNull()
        ->and(array_column($lesson['open']['flaws'], 'flaw'))->toContain('ringing');
    $this->postJson('/api/compute/lesson', ['document' => $document, 'stage' => 'encore'])->assertUnprocessable();
});

it('plays a stage, an arrangement and a flaw in place of the song', function (): void {
    $document = Examples::document(['tempo' => 120], 'x.c.xxc.');
    $this->actingAs($this->teacher());
    $strokes = fn (array $asked, string $field): array => array_slice(array_column(
        $this->postJson('/api/compute/timeline', ['document' => $document] + $asked)->assertOk()->json('strokes'),
        $field,
    ), 0, 5);

    expect($strokes([], 'kind'))->toBe(['ring', 'chuck', 'ring', 'ring', 'chuck'])
        ->and($strokes(['stage' => 'damped-rhythm'], 'kind'))->toBe(array_fill(0, 5, 'chuck'))
        ->and($strokes(['flaw' => 'rushed'], 't'))->toBe([0, 0.5, 1, 1.212, 1.5]);
    $alone = $this->postJson('/api/compute/arrange-alone', ['document' => $document])->assertOk()->json('document');
    $parts = array_unique(array_column(
        $this->postJson('/api/compute/timeline', ['document' => $alone, 'arrangement' => 'alone'])->assertOk()->json('events'),
        'part',
    ));
    expect(array_column($alone['patterns'], 'aloneOf'))->toBe(['p1'])->and(array_values($parts))->toBe(['guitar']);
    $this->postJson('/api/compute/timeline', ['document' => $alone, 'arrangement' => 'asleep'])->assertUnprocessable();
});

it('holds a take against what its stage plays, and keeps which it was', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher, Examples::document(['tempo' => 120], 'x...x...'));
    $first = (new Performer())->perform(Examples::breakdown(['tempo' => 120], 'x...x...'));
    $oncePerBar = array_map(static fn (int $bar): array => ['t' => 2.0 * $bar], range(0, 7));
    $report = fn (?string $stage): array => $this->actingAs($teacher)->postJson("/api/breakdowns/{$breakdown->id}/takes", [
        'id' => $this->newId(), 'tempo' => 120, 'bars' => 8, 'latency_ms' => 0, 'taps' => $oncePerBar, 'stage' => $stage,
    ])->assertCreated()->json();

    expect(count($first->strokes))->toBeGreaterThan(2)
        ->and($report(null)['report']['missed'])->toBe(8)
        ->and($report('shapes'))->toMatchArray(['stage' => 'shapes'])
        ->and($report('shapes')['report']['missed'])->toBe(0);
});

it('keeps what ears told apart, each for themselves', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $address = "/api/breakdowns/{$breakdown->id}/ears";
    $this->actingAs($teacher);
    foreach ([true, false, true] as $right) {
        $this->postJson($address, ['flaw' => 'flat', 'right' => $right])->assertNoContent();
    }
    $this->postJson($address, ['flaw' => 'sour', 'right' => true])->assertUnprocessable();

    expect($this->getJson($address)->json('items'))->toBe([['flaw' => 'flat', 'heard' => 3, 'right' => 2]]);
    $breakdown->students()->attach($student = $this->student());
    expect($this->actingAs($student)->getJson($address)->json('items'))->toBe([]);
    $this->actingAs($this->student('Another'))->getJson($address)->assertNotFound();
    $this->postJson($address, ['flaw' => 'flat', 'right' => true])->assertNotFound();
});
