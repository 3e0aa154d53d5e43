<?php

declare(strict_types=1);

use Gravik\Tests\Support\Examples;

beforeEach(function (): void {
    $this->actingAs($this->teacher());
});

it('plans the hand at another tempo than the written one', function (): void {
    $document = Examples::document(['feel' => ['mode' => 'follows-tempo', 'ratio' => 1, 'unit' => 'eighth']], 'xxxxxxxx');
    $slow = $this->postJson('/api/compute/strokes', ['document' => $document, 'tempo' => 100, 'grid' => 4])->assertOk()->json();
    $fast = $this->postJson('/api/compute/strokes', ['document' => $document, 'tempo' => 280])->assertOk()->json();

    expect($slow['sketch']['p'])->toEqualWithDelta(2 / 3, 1e-5)->and($slow['slots'])->toHaveCount(16)
        ->and($fast['sketch']['p'])->toEqualWithDelta(0.5, 0.02)->and($fast['warnings'])->not->toBe([]);
});

it('lays a pattern out as it is counted, with other weights and lengths, and says what is not counted', function (): void {
    $document = Examples::document();
    $counted = $this->postJson(
        '/api/compute/shape',
        ['document' => $document, 'counted' => '1! & (2) & 3x & (4) &>'],
    )->assertOk()->json('document');
    expect(array_column($counted['patterns'][0]['streams'][0]['strokes'], 'at'))->toBe([0, 480, 1440, 1920, 2400, 3360]);
    $this->postJson(
        '/api/compute/strokes',
        ['document' => $counted],
    )->assertOk()->assertJsonPath(
        'counted',
        ['1! & (2) & 3x & (4) &>'],
    )->assertJsonPath('sketch.strokes.7.chord', 'next')->assertJsonPath('advice.school', 'pendulum');
    $this->postJson('/api/compute/shape', ['document' => $document, 'counted' => '1 and 2'])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, '"and" is not counted'),
    );
    $this->postJson(
        '/api/compute/shape',
        ['document' => $document, 'accents' => 'back-beat', 'lengths' => 'long-dry'],
    )->assertOk()->assertJsonPath('document.patterns.0.streams.0.strokes.1.accent', 2);
    $this->postJson('/api/compute/shape', ['document' => $document, 'accents' => 'wild'])->assertStatus(422);
});

it('thins what is drawn and what is heard alike', function (): void {
    $document = Examples::document([], 'xxxxxxxx');
    $drawn = $this->postJson('/api/compute/strokes', ['document' => $document, 'level' => 1])->assertOk()->json('sketch.strokes');
    $heard = $this->postJson('/api/compute/timeline', ['document' => $document, 'level' => 1])->assertOk()->json('strokes');

    expect(array_column(
        array_filter($drawn, static fn (array $stroke): bool => $stroke['kind'] !== 'air'),
        'at',
    ))->toBe([0, 960, 1920, 2880])
        ->and(array_unique(array_column($heard, 'at')))->toBe([0, 960, 1920, 2880]);
    $this->postJson('/api/compute/strokes', ['document' => $document, 'level' => 4])->assertStatus(422);
});

it('lists patterns to start from, each a document part that can be taken over', function (): void {
    foreach ($this->getJson('/api/patterns')->assertOk()->json() as $entry) {
        $document = Examples::document(
            ['meter' => $entry['meter'], 'pattern' => $entry['pattern'], 'school' => $entry['school'], 'feel' => $entry['feel']],
            str_repeat('x', 2 * Gravik\Time\Meter::parse($entry['meter'])->beats()),
        );
        $this->postJson('/api/compute/strokes', ['document' => $document])->assertOk()->assertJsonPath('counted.0', $entry['counted']);
    }
});

it('reads a tapped rhythm, offers what it would change, and says what is wrong with taps that are none', function (): void {
    $document = Examples::document();
    $taps = array_map(
        static fn (int $eighth): array => ['t' => 0.25 * $eighth + 0.01, 'key' => $eighth % 2 === 0 ? 'down' : 'up'],
        [0, 1, 3, 4, 6, 7],
    );
    $readings = $this->postJson(
        '/api/compute/tapped',
        ['document' => $document, 'tempo' => 120, 'bars' => 1, 'taps' => $taps],
    )->assertOk()->json();

    expect($readings[0])->toMatchArray(['words' => 'straight eighths', 'counted' => '1 & (2) & 3 4 &', 'left_out' => 0])
        ->and(array_column($readings[0]['change'], 'id', 'field'))->toBe(['patterns' => 'p1']);
    $this->postJson('/api/compute/tapped', ['document' => $document, 'bars' => 1, 'taps' => []])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'Nothing was tapped'),
    );
    $this->postJson('/api/compute/tapped', ['document' => $document, 'bars' => 9, 'taps' => $taps])->assertStatus(422);
    $this->postJson(
        '/api/compute/tapped',
        ['document' => $document, 'bars' => 1, 'taps' => [['t' => 'soon']]],
    )->assertStatus(422)->assertJsonPath('message', static fn (string $said): bool => str_contains($said, 'Tap 1'));
});

it('shows the schools side by side, counts aloud and reads a typed feel', function (): void {
    $schools = $this->postJson(
        '/api/compute/schools',
        ['document' => Examples::document([], 'xxxxxxxx'), 'tempo' => 160],
    )->assertOk()->json();
    expect(array_column($schools, 'school'))->toContain('pendulum', 'all-down')
        ->and(array_column($schools, 'differs', 'school')['all-down'])->toBe([480, 1440, 2400, 3360])
        ->and(array_column($schools, 'faults', 'school')['all-down'][0])->toContain('in one direction');

    $timeline = $this->postJson(
        '/api/compute/timeline',
        ['document' => Examples::document(['feel' => ['mode' => 'fixed', 'ratio' => 2, 'unit' => 'eighth']])],
    )->assertOk();
    expect($timeline->json('off_beat_ms'))->toEqualWithDelta(83.3, 0.05)
        ->and(array_slice($timeline->json('counts'), 0, 3))->toBe([
            ['t' => 0, 'depth' => 0],
            ['t' => 0.5, 'depth' => 1],
            ['t' => 0.833333, 'depth' => 2],
        ]);

    $this->postJson(
        '/api/compute/feel',
        ['typed' => '3:2', 'unit' => 'sixteenth'],
    )->assertOk()->assertExactJson(['feel' => ['mode' => 'fixed', 'ratio' => 1.5, 'unit' => 'sixteenth']]);
    $this->postJson('/api/compute/feel', ['typed' => 'bouncy', 'unit' => 'eighth'])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, '"bouncy" is no feel'),
    );
});

it('hands out repairs with the warnings that they mend', function (): void {
    $warnings = $this->postJson(
        '/api/compute/strokes',
        ['document' => Examples::document(['school' => 'all-down'], 'xxxxxxxx'), 'tempo' => 160],
    )->assertOk()->json('warnings');

    $fix = $warnings[0]['fixes'][0];

    expect($fix['text'])->toBe('Change to the pendulum')
        ->and(array_column($fix['change'], 'id', 'field'))->toBe(['patterns' => 'p1'])
        ->and($fix['change'][0]['becomes'])->toBe([...$fix['change'][0]['was'], 'school' => 'pendulum']);
});
