<?php

declare(strict_types=1);

use Gravik\Tests\Support\Examples;

beforeEach(function (): void {
    $this->actingAs($this->teacher());
});

it('finds grips for a chord and refuses what it cannot find', function (): void {
    $this->postJson(
        '/api/compute/voicings',
        ['symbol' => 'Bb7', 'limit' => 5],
    )->assertOk()->assertJsonPath('symbol', 'B♭7')->assertJsonCount(5, 'voicings');
    $this->postJson('/api/compute/voicings', ['symbol' => 'Bbv7'])->assertStatus(422)->assertJsonPath('at', 2);
    $this->postJson('/api/compute/voicings', ['symbol' => 'C', 'tuning' => 'banjo'])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'is no tuning'),
    );
    $this->postJson(
        '/api/compute/voicings',
        ['symbol' => 'C', 'limit' => 5000],
    )->assertStatus(422)->assertJsonStructure(['errors' => ['limit']]);
    $this->postJson('/api/compute/voicings', [])->assertStatus(422)->assertJsonStructure(['errors' => ['symbol']]);
});

it('names a grip in the key of the tune, and refuses what is none', function (): void {
    $this->postJson(
        '/api/compute/name',
        ['frets' => [null, 7, 8, 7, 8, null], 'key' => 'C major'],
    )->assertOk()->assertJsonPath('names.0.symbol', 'C9')->assertJsonPath(
        'names.0.degrees',
        ['3', '♭7', '9', '5'],
    )->assertJsonPath('voicing.root.fret', 8);
    $this->postJson(
        '/api/compute/name',
        ['frets' => [0, 1, 2, 3, 4, 5]],
    )->assertOk()->assertJsonPath('names', [])->assertJsonPath('voicing', null);
    $this->postJson('/api/compute/name', ['frets' => [null, null, null, null, null, 3]])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'at least two strings'),
    );
    $this->postJson('/api/compute/name', ['frets' => [1, 2, 3, 'x', 5, 99]])->assertStatus(422);
});

it('chooses a path and remembers it without changing it', function (): void {
    $document = Examples::document(['sections' => [['name' => 'A', 'line' => '| Dm6 | B♭7 | Gm7 A7 |']]]);
    $first = $this->postJson('/api/compute/path', ['document' => $document])->assertOk()->json();
    $again = $this->postJson('/api/compute/path', ['document' => ['tempo' => 90] + $document])->assertOk()->json();

    expect($again)->toBe($first)->and($first['chords'])->toHaveCount(4)->and($first['moves'])->toHaveCount(3);
});

it('maps the double stops of a chord in the key, letters and numerals alike', function (): void {
    $map = $this->postJson(
        '/api/compute/neck-map',
        ['document' => Examples::document(), 'symbol' => 'V7', 'scale' => 'minor-pentatonic', 'position' => 5],
    )->assertOk()->assertJsonPath('symbol', 'A7')->json();

    expect(array_unique(array_column($map['stops'], 'kind')))->toContain('both', 'one', 'passing')
        ->and(array_column($map['fills'], 'fret'))->each->toBeBetween(4, 8);
    $this->postJson('/api/compute/neck-map', ['document' => Examples::document(), 'symbol' => 'Hm'])->assertStatus(422);
    $this->postJson('/api/compute/neck-map', ['document' => Examples::document(), 'symbol' => 'A7', 'scale' => 'blues'])->assertStatus(422);
});

it('plans how to retune for a tune and where a capo opens its grips', function (): void {
    $document = Examples::document([
        'key' => 'E♭',
        'tuning' => 'drop-d',
        'sections' => [['name' => 'A', 'line' => '| E♭ | A♭ | B♭7 | E♭ |']],
    ]);
    $plan = $this->postJson(
        '/api/compute/strings-plan',
        ['document' => $document],
    )->assertOk()->assertJsonPath('retune.0.semitones', -2)->assertJsonPath('retune.0.midi', 38)->assertJsonPath('capo.0.capo', 1)->json();

    expect($plan['capo'][0]['shapes'])->toBe([
        ['sounding' => 'E♭', 'shape' => 'D'],
        ['sounding' => 'A♭', 'shape' => 'G'],
        ['sounding' => 'B♭7', 'shape' => 'A7'],
    ]);
    $this->postJson(
        '/api/compute/strings-plan',
        ['document' => $document, 'from' => 'open-d'],
    )->assertOk()->assertJsonPath('retune.3.semitones', 1);
    $this->postJson('/api/compute/strings-plan', ['document' => $document, 'from' => 'seven-string'])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'a tuning of 7 strings cannot be brought to one of 6'),
    );
});

it('measures changes of grip and offers repairs that can be taken at once', function (): void {
    $document = Examples::document(['key' => 'C major', 'tempo' => 220, 'sections' => [['name' => 'A', 'line' => '| F | B♭ |']], 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'F', 'frets' => [1, 3, 3, 2, 1, 1]], [
            'section' => 0,
            'bar' => 1,
            'at' => 0,
            'symbol' => 'B♭',
            'frets' => [6, 8, 8, 7, 6, 6],
        ],
    ]], 'xxxxxxxx');
    $change = $this->postJson('/api/compute/changes', ['document' => $document])->assertOk()->assertJsonPath('0.fits', false)->json()[0];

    expect($change['repairs'])->not->toBe([]);
    foreach ($change['repairs'] as $repair) {
        $repaired = $this->patched($document, $repair['change']);
        $again = array_values(array_filter(
            $this->postJson('/api/compute/changes', ['document' => $repaired])->assertOk()->json(),
            static fn (array $each): bool => $each['to'] === 'B♭',
        ));
        expect($again === [] || $again[0]['fits'])->toBeTrue();
    }
});

it('shows the families of a grip, its IV and V, and what it can take on top', function (): void {
    $families = $this->postJson(
        '/api/compute/families',
        ['document' => Examples::document(['key' => 'G major']), 'symbol' => 'I7', 'frets' => '3 5 3 4 3 3'],
    )->assertOk()->json();

    expect(array_column($families['routes'], 'way'))->toContain('one shape moved')
        ->and($families['swaps'])->not->toBe([])
        ->and(array_column($families['enrich'], 'degree'))->toContain('13');
    $this->postJson('/api/compute/families', ['document' => Examples::document(), 'symbol' => 'Dm', 'frets' => '1 2'])->assertStatus(422);
});

it('filters grips by kind and refuses kinds there are not', function (): void {
    $this->postJson('/api/compute/voicings', ['symbol' => 'C7', 'kind' => 'guide-tones', 'limit' => 5])->assertOk()->assertJsonPath(
        'voicings.0.degrees',
        static fn (array $degrees): bool => array_values(array_diff(array_filter($degrees), ['3', '♭7'])) === [],
    );
    $this->postJson('/api/compute/voicings', ['symbol' => 'C7', 'kind' => 'fancy'])->assertStatus(422);
    $this->postJson('/api/compute/voicings', ['symbol' => 'C', 'kind' => 'open-barre'])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'choose another kind'),
    );
});

it('puts grips first that suit the line between its neighbours', function (): void {
    $alone = $this->postJson(
        '/api/compute/voicings',
        ['symbol' => 'G7', 'company' => 'with-bass', 'limit' => 24],
    )->assertOk()->json('voicings.0.frets');
    $beside = ['symbol' => 'Dm7', 'frets' => [null, null, 12, 14, 13, 13]];
    $inLine = $this->postJson(
        '/api/compute/voicings',
        ['symbol' => 'G7', 'company' => 'with-bass', 'limit' => 24, 'before' => $beside, 'after' => null],
    )->assertOk()->assertJsonCount(24, 'voicings')->json('voicings.0.frets');

    expect($inLine)->not->toBe($alone)->and(max(array_filter($inLine)))->toBeGreaterThan(7);
    $this->postJson(
        '/api/compute/voicings',
        ['symbol' => 'G7', 'before' => ['symbol' => 'H', 'frets' => [1, 2, 3, 4, 5, 6]]],
    )->assertStatus(422);
    $this->postJson('/api/compute/voicings', ['symbol' => 'G7', 'before' => ['symbol' => 'C', 'frets' => ['high']]])->assertStatus(422);
});

it('offers easier grips to a hand that cannot take the line', function (): void {
    $document = Examples::document([
        'key' => 'C major',
        'sections' => [['name' => 'A', 'line' => '| F | C |']],
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'F', 'frets' => [1, 3, 3, 2, 1, 1]]],
    ]);
    $hard = $this->postJson(
        '/api/compute/easier',
        ['document' => $document, 'hand' => 'small,no-barre'],
    )->assertOk()->assertJsonPath('0.symbol', 'F')->assertJsonPath('0.why', 'it needs a barre')->json();

    expect($hard[0]['instead']['barres'])->toBe([]);
    $this->postJson('/api/compute/easier', ['document' => $document, 'hand' => 'enormous'])->assertStatus(422);
});
