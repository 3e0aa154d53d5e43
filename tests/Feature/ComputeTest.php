<?php

declare(strict_types=1);

use Database\Seeders\DemoBreakdowns;
use Database\Seeders\DemoSongs;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;

beforeEach(function (): void {
    $this->actingAs($this->teacher());
});

it('reads a chart with its numerals and marks what it cannot read', function (): void {
    $chart = $this->postJson(
        '/api/compute/chart',
        ['document' => Examples::document(['sections' => [['name' => 'A', 'line' => '| Dm6 | Ebv9 | Gm7 A7 |']]])],
    )->assertOk()->json();

    expect($chart['sections'][0]['problems'][0])->toMatchArray(['at' => 10, 'length' => 2, 'bar' => 1, 'nearest' => 'E♭9'])
        ->and($chart['sections'][0]['bars'][2]['chords'][1])->toMatchArray([
            'symbol' => 'A7',
            'root' => 'A',
            'ending' => '7',
            'numeral' => 'V7',
            'beats' => 2,
        ]);
});

it('moves a capo and then writes what sounds beside what is held', function (): void {
    $document = Examples::document(['pins' => [[
        'section' => 0,
        'bar' => 0,
        'at' => 0,
        'symbol' => 'Dm',
        'frets' => [null, 5, 7, 7, 6, 5],
    ]]]);
    $moved = $this->postJson(
        '/api/compute/capo',
        ['document' => $document, 'capo' => 5],
    )->assertOk()->assertJsonPath('document.lines.0.pins.0.frets', [null, 0, 2, 2, 1, 0])->json('document');
    $this->postJson('/api/compute/chart', ['document' => $moved])->assertOk()->assertJsonPath('sections.0.bars.0.chords.0.shape', 'Am');
    $this->postJson('/api/compute/path', ['document' => $moved])->assertOk()->assertJsonPath('chords.0.shape', 'Am')->assertJsonPath(
        'chords.0.voicing.notes',
        [null, 'D3', 'A3', 'D4', 'F4', 'A4'],
    );
    $this->postJson('/api/compute/capo', ['document' => $document, 'capo' => 6])->assertOk()->assertJsonCount(1, 'dropped');
    $this->postJson('/api/compute/capo', ['document' => $document, 'capo' => 13])->assertStatus(422);
    $this->postJson(
        '/api/compute/capo',
        ['document' => $document, 'capo' => 'high'],
    )->assertStatus(422)->assertJsonStructure(['errors' => ['capo']]);
});

it('plays the form out as events in order', function (): void {
    $timeline = $this->postJson('/api/compute/timeline', ['document' => Examples::document(), 'tempo' => 60])->assertOk()->json();
    $times = array_column($timeline['events'], 't');
    $sorted = $times;
    sort($sorted);

    expect($times)->toBe($sorted)
        ->and($timeline['seconds'])->toEqual(8)
        ->and(array_merge(...array_column($timeline['bars'], 'beats')))->toEqual(range(0, 7))
        ->and(array_unique(array_column($timeline['events'], 'part')))->toHaveCount(3);
});

it('moves to another key and lays patterns out anew', function (): void {
    $this->postJson(
        '/api/compute/key',
        ['document' => Examples::document(), 'key' => 'E minor'],
    )->assertOk()->assertJsonPath('document.sections.0.line', '| Em | B7 |');
    $this->postJson('/api/compute/key', ['document' => Examples::document(), 'key' => 'H'])->assertStatus(422);
    $this->postJson(
        '/api/compute/shape',
        ['document' => Examples::document(), 'meter' => '3/4', 'bars' => 2, 'grid' => 3],
    )->assertOk()->assertJsonPath('document.patterns.0.ticks', 5760);
    $this->postJson('/api/compute/shape', ['document' => Examples::document(), 'grid' => 7])->assertStatus(422);
});

it('answers a broken document with what is wrong, at every door', function (string $what): void {
    $this->postJson(
        "/api/compute/{$what}",
        ['document' => ['tempo' => 10_000] + Examples::document()],
    )->assertStatus(422)->assertJsonPath('at', '/tempo');
    $this->postJson("/api/compute/{$what}", ['document' => 'a song'])->assertStatus(422)->assertJsonStructure(['message', 'errors']);
})->with(['chart', 'path', 'neck-map', 'strings-plan', 'strokes', 'timeline', 'key', 'capo', 'shape']);

it('offers the grooves and tunings there are', function (): void {
    $choices = $this->getJson('/api/choices')->assertOk()->json();

    expect(array_column($choices['grooves'], 'slug'))->toContain('shuffle')
        ->and(array_column($choices['tunings'], 'slug'))->toContain('drop-d')
        ->and($choices['stages'])->toHaveCount(17)
        ->and($choices['stages'][$choices['usual_stage'] - 1])->toBe(['slug' => 'full-band', 'words' => 'with the full band'])
        ->and(array_column($choices['listening']['gains'], 'words'))
        ->toBe(['without the guitar', 'guitar softer, −6 dB', 'guitar as written', 'guitar louder, +6 dB'])
        ->and(array_column($choices['listening']['seats'], 'words', 'slug'))->toHaveKey('guitar', 'the guitar’s chair')
        ->and(array_column($choices['gates'], 'spreadMs', 'name'))->toEqual(['beginner' => 20, 'advanced' => 12]);
});

it('offers approaches to a chord with where they begin, and places one in what is heard', function (): void {
    $document = Examples::document([
        'key' => 'G major',
        'sections' => [['name' => 'A', 'line' => '| G7 | C7 |']],
        'pins' => [['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'C7', 'frets' => [8, 10, 8, 9, 8, 8]]],
    ]);
    $offers = $this->postJson(
        '/api/compute/approaches',
        ['document' => $document, 'chord' => 1, 'steps' => 3, 'slot_ticks' => 480],
    )->assertOk()->json();
    $walk = array_values(array_filter($offers, static fn (array $offer): bool => $offer['kind'] === 'walk-up'))[0];

    expect($walk['from'])->toBe('bar 1, the half of beat 3')->and(array_column($walk['grips'], 'symbol'))->toBe(['A7', 'A♯7', 'B7']);
    $this->postJson(
        '/api/compute/approaches',
        ['document' => $document, 'chord' => 9, 'steps' => 3, 'slot_ticks' => 480],
    )->assertNotFound();
    $this->postJson(
        '/api/compute/approaches',
        ['document' => $document, 'chord' => 0, 'steps' => 30, 'slot_ticks' => 480],
    )->assertStatus(422)->assertJsonStructure(['errors' => ['steps']]);
});

it('proofreads every demo song, and marks what sounds off the chord as meant', function (): void {
    $fixes = [];
    foreach ([...DemoBreakdowns::all(), ...DemoSongs::all()] as $song) {
        $document = (new BreakdownJson())->write($song);
        foreach ($this->postJson('/api/compute/proofread', ['document' => $document])->assertOk()->json() as $remark) {
            foreach ($remark['fixes'] as $fix) {
                if (in_array('marks', array_column($fix['change'], 'field'), true)) {
                    $fixes[] = [$document, $remark, $fix['change']];
                }
            }
        }
    }
    expect($fixes)->not->toBe([]);
    [$document, $remark, $change] = $fixes[0];
    $left = $this->postJson('/api/compute/proofread', ['document' => $this->patched($document, $change)])->assertOk()->json();
    expect(array_column($left, 'text'))->not->toContain($remark['text']);
});

it('proofreads, harmonises, places figures and reads tunings, and says what it cannot read', function (): void {
    $document = Examples::document([
        'key' => 'C major',
        'sections' => [['name' => 'A', 'line' => '| C | F |']],
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'C', 'frets' => [null, 3, 2, 0, 2, 0]]],
    ]);
    $fix = $this->postJson(
        '/api/compute/proofread',
        ['document' => $document],
    )->assertOk()->assertJsonPath('0.kind', 'other-chord')->json('0.fixes.0.change');
    $this->postJson('/api/compute/proofread', ['document' => $this->patched($document, $fix)])->assertOk()->assertExactJson([]);

    $this->postJson(
        '/api/compute/harmonise',
        ['document' => $document, 'melody' => 'G4 A4 | A4 C5', 'bar' => 0],
    )->assertOk()->assertJsonPath('0.chord', 'C')->assertJsonPath('2.chord', 'F')->assertJsonPath('1.held', true);
    $this->postJson('/api/compute/harmonise', ['document' => $document, 'melody' => 'G4 nothing'])->assertStatus(422);
    $this->postJson(
        '/api/compute/riff',
        ['document' => $document, 'figure' => '6:3 6:3 5:5'],
    )->assertOk()->assertJsonPath('0.four.0', ['string' => 5, 'fret' => 3, 'midi' => 48])->assertJsonPath('0.near', 3)
        ->assertJsonPath('0.counted', '1=6:3 &=6:3 2=5:5 (&) (3) (&) (4) (&)');
    $this->postJson('/api/compute/riff', ['document' => $document, 'figure' => '6-3'])->assertStatus(422);
    $this->postJson(
        '/api/compute/stated-tuning',
        ['stated' => 'whole step down', 'typed' => 'D2,G2,C3,F♯3,A3,D4'],
    )->assertOk()->assertJsonPath('contradictions.0.string', 3)->assertJsonPath('changes', [-2, -2, -2, -2, -2, -2]);
    $this->postJson('/api/compute/stated-tuning', ['stated' => 'upside down'])->assertStatus(422);
    $this->postJson(
        '/api/compute/tuning',
        ['document' => $document, 'tuning' => 'open major on G'],
    )->assertOk()->assertJsonPath('document.guitar.tuning', 'open-g')->assertJsonCount(2, 'document.lines.0.pins');
    $this->postJson(
        '/api/compute/tuning',
        ['document' => $document, 'tuning' => 'seven-string'],
    )->assertOk()->assertJsonCount(7, 'document.lines.0.pins.0.frets');
});
