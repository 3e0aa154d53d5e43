<?php

declare(strict_types=1);

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

it('plans the hand at another tempo than the written one', function (): void {
    $document = Examples::document(['feel' => ['mode' => 'follows-tempo', 'ratio' => 1, 'unit' => 'eighth']], 'xxxxxxxx');
    $slow = $this->postJson('/api/compute/strokes', ['document' => $document, 'tempo' => 100, 'grid' => 4])->assertOk()->json();
    $fast = $this->postJson('/api/compute/strokes', ['document' => $document, 'tempo' => 280])->assertOk()->json();

    expect($slow['sketch']['p'])->toEqualWithDelta(2 / 3, 1e-5)->and($slow['slots'])->toHaveCount(16)
        ->and($fast['sketch']['p'])->toEqualWithDelta(0.5, 0.02)->and($fast['warnings'])->not->toBe([]);
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
        ->and($choices['stages'])->toHaveCount(10)
        ->and($choices['stages'][$choices['usual_stage'] - 1])->toBe(['slug' => 'full-band', 'words' => 'with the full band'])
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
    )->assertOk()->assertJsonPath('0.four.0', ['string' => 5, 'fret' => 3, 'midi' => 48]);
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
