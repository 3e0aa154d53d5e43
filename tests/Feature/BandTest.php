<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Formats\MidiFile;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Illuminate\Testing\TestResponse;

beforeEach(fn () => $this->actingAs($this->teacher()));

/** @return array<string, mixed> four bars for guitar, drums and bass, in two passes */
function dockSong(): array
{
    return [
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm7 | G7 | C6 | A7 |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'parts' => [
            Examples::part('guitar'),
            Examples::part('drums', ['groove' => 'four-walk']),
            Examples::part('bass', ['groove' => 'four-walk']),
        ],
        'passes' => [
            ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
            ['id' => '2', 'name' => '', 'notes' => '', 'lead' => 'voice', 'cells' => []],
        ],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full();
}

it('takes keys into the band, finds them in the way, and settles it by the change that is offered', function (): void {
    $document = $this->postJson('/api/compute/add-part', ['document' => dockSong(), 'instrument' => 'keys'])->assertOk()->json('document');
    $band = $this->postJson('/api/compute/band', ['document' => $document, 'from' => 4, 'bars' => 2])->assertOk()->json();
    $first = array_values(array_filter($band['clashes'], static fn (array $clash): bool => $clash['kind'] === 'two-lead'))[0];
    $mended = $document;
    foreach ($first['mends'][0]['change'] as $patch) {
        expect($patch['field'])->toBe('passes');
        $mended['passes'] = array_map(
            static fn (array $pass): array => $pass['id'] === $patch['id'] ? $patch['becomes'] : $pass,
            $mended['passes'],
        );
    }
    $after = $this->postJson('/api/compute/band', ['document' => $mended])->assertOk()->json();
    $leading = static fn (array $band): array => array_column($band['visits'], 'too_many_lead');

    expect(array_column($band['parts'], 'instrument'))->toBe(['guitar', 'drums', 'bass', 'keys'])
        ->and($band['absent'])->toBe([
            ['slug' => 'second-guitar', 'words' => 'second guitar'],
            ['slug' => 'horns', 'words' => 'horns'],
            ['slug' => 'lead', 'words' => 'lead'],
        ])
        ->and($leading($band))->toBe([['guitar', 'keys'], ['guitar', 'keys']])->and($leading($after))->toBe([[], ['guitar', 'keys']])
        ->and($band['visits'][1])->toMatchArray(['pass' => '2', 'from' => 4, 'bars' => 4, 'lead' => 'voice'])
        ->and($band['window']['bar_lines'])->toBe([0, 4])
        ->and(array_column($band['window']['chords'], 'symbol'))->toBe(['Dm7', 'G7'])
        ->and(array_column($band['window']['rows'], 'part'))->toBe(['guitar', 'drums', 'bass', 'keys'])
        ->and(count($band['looked']) + count($band['unlooked']))->toBe(12)
        ->and($band['soundings']['soloist'])->toBeNull();
});

it('suggests who leads in which pass, and why, and takes it all in one step', function (): void {
    $document = $this->postJson('/api/compute/add-part', ['document' => dockSong(), 'instrument' => 'keys'])->assertOk()->json('document');
    $suggested = $this->postJson('/api/compute/band', ['document' => $document])->assertOk()->json('suggestions');
    $taken = $this->postJson('/api/compute/take-roles', ['document' => $document])->assertOk()->json('document');

    expect(array_column($suggested, 'words'))->toBe(['four to the bar', 'passive'])
        ->and(array_column($suggested, 'part'))->toBe(['guitar', 'keys'])
        ->and($suggested[1]['why'])->toContain('other one leads')
        ->and($this->postJson('/api/compute/band', ['document' => $taken])->json('suggestions'))->toBe([]);
});

it('plumbs the parts below a soloist, and takes a part out with all that was said of it', function (): void {
    $with = $this->postJson('/api/compute/add-part', ['document' => dockSong(), 'instrument' => 'lead'])->assertOk()->json('document');
    $with['passes'][0]['cells'] = [['part' => 'lead', 'role' => 'out']];
    $band = $this->postJson('/api/compute/band', ['document' => $with])->assertOk()->json();
    $without = $this->postJson('/api/compute/without-part', ['document' => $with, 'part' => 'lead'])->assertOk()->json('document');

    expect($band['soundings']['soloist'])->toBe('sung')->and(
        array_column($band['soundings']['parts'], 'part'),
    )->toBe(['guitar', 'drums', 'bass'])
        ->and(array_column($without['parts'], 'id'))->toBe(['guitar', 'drums', 'bass'])
        ->and($without['passes'][0]['cells'])->toBe([])
        ->and(array_column($band['soundings']['balance']['steps'], 'level'))->toBe([0, 0.4, 0.8, 1])
        ->and(array_column($band['soundings']['seats'], 'gains_db')[1])->toMatchArray(['guitar' => 0, 'drums' => -9.5, 'lead' => -9.5]);
    $this->postJson('/api/compute/without-part', ['document' => $with, 'part' => 'guitar'])->assertUnprocessable();
    $this->postJson('/api/compute/without-part', ['document' => $with, 'part' => 'nobody'])->assertUnprocessable();
    $this->postJson('/api/compute/add-part', ['document' => dockSong(), 'instrument' => 'guitar'])->assertUnprocessable();
});

it('takes a second guitar in, and gives the student its seat', function (): void {
    $joins = ['document' => dockSong(), 'instrument' => 'second-guitar'];
    $document = $this->postJson('/api/compute/add-part', $joins)->assertOk()->json('document');
    $changed = $this->postJson('/api/compute/change-seats', ['document' => $document])->assertOk()->json('document');
    $levels = static fn (array $told): array => array_column($told['parts'], 'level', 'id');

    expect($levels($changed)['guitar'])->toBe($levels($document)['second-guitar'])
        ->and(count($changed['patterns']))->toBe(count($document['patterns']) + 1)
        ->and(count($changed['lines']))->toBe(count($document['lines']) + 1);
    $this->postJson('/api/compute/change-seats', ['document' => dockSong()])->assertUnprocessable();
});

it('lays a track of a MIDI file as the tune of the lead, and refuses what is none', function (): void {
    $document = $this->postJson('/api/compute/add-part', ['document' => dockSong(), 'instrument' => 'lead'])->assertOk()->json('document');
    $song = (new BreakdownJson())->read($document);
    $midi = base64_encode((new MidiFile())->write($song, (new Performer())->perform($song)));
    $ask = fn (array $told): TestResponse => $this->postJson('/api/compute/lay-tune', $told + [
        'document' => $document, 'part' => 'lead', 'name' => 'Ebb', 'midi' => $midi,
    ]);
    $laid = $ask([])->assertOk()->json();
    $bass = min(array_column($laid['tracks'], 'number'));

    expect(array_column($laid['document']['parts'], 'tune', 'id')['lead']['name'])->toBe('Ebb')
        ->and($ask(['track' => $bass])->assertOk()->json('track'))->toBe($bass);
    $ask(['midi' => base64_encode('no MIDI')])->assertUnprocessable();
    $ask(['midi' => 'ü'])->assertUnprocessable();
    expect($ask(['track' => 77])->assertUnprocessable()->json('message'))->toContain('Track 77')
        ->and($ask(['part' => 'guitar'])->assertUnprocessable()->json('message'))->toContain('only the lead can');
});

it('refuses parts that cannot be: another instrument\'s way, no register, no role', function (array $part, string $says): void {
    $document = dockSong();
    $document['parts'][] = ['id' => 'keys', 'instrument' => 'keys', 'level' => 0.5, 'offsetMs' => 0, 'straight' => false, ...$part];

    $this->postJson('/api/compute/band', ['document' => $document])->assertUnprocessable()->assertJsonPath(
        'message',
        static fn (string $message): bool => str_contains($message, $says),
    );
})->with([
    'a walking piano' => [['plays' => 'walking'], 'The keys cannot play "walking"'],
    'an octave too narrow' => [['register' => [60, 64]], 'spans an octave at least'],
    'below all notes' => [['register' => [1, 40]], 'between notes 21 and 108'],
]);

it('lays another\'s part beside the guitar\'s, and refuses one that is none', function (): void {
    $onsets = array_map(static fn (int $beat): float => $beat * 60 / 112, range(0, 15));
    $song = ['start' => ['tempo' => 112, 'feel' => Examples::swing(1)] + dockSong()['start']] + dockSong();
    $beside = $this->postJson('/api/compute/beside', ['document' => $song, 'onsets' => $onsets])->assertOk()->json();

    expect($beside['offset_seconds'])->toEqualWithDelta(0, 0.01)
        ->and(array_slice($beside['bars'][0]['theirs'], 0, 4))->toBe(['1', '2', '3', '4'])
        ->and(array_column($beside['ends'], 'bar'))->toBe([3]);
    $this->postJson('/api/compute/beside', ['document' => $song, 'onsets' => []])->assertUnprocessable();
    $this->postJson('/api/compute/beside', ['document' => $song, 'onsets' => ['soon']])->assertUnprocessable();
});

it('keeps what a place plays as a word of the teacher\'s own, without its chords; another teacher has it not', function (): void {
    $song = dockSong();
    $song['parts'][] = ['id' => 'keys', 'instrument' => 'keys', 'level' => 0.5, 'offsetMs' => 0, 'straight' => false, 'plays' => 'pads'];
    $song['passes'][1]['cells'] = [['part' => 'keys', 'role' => 'passive']];
    $kept = $this->postJson('/api/profiles', ['document' => $song, 'pass' => '2', 'name' => ' Quay shuffle '])->assertOk()->json();
    $this->postJson('/api/profiles', ['document' => $song, 'name' => 'Quay shuffle'])->assertOk()->assertJsonPath('id', $kept['id']);
    $this->postJson('/api/profiles', ['document' => $song, 'name' => ''])->assertUnprocessable();

    expect($kept['document'])->toMatchArray(['genre' => 'Quay shuffle', 'cells' => [['part' => 'keys', 'role' => 'passive']]])
        ->and($kept['document']['sections'][0]['line'])->toBe('')
        ->and($kept['document']['parts'])->toEqual($song['parts'])
        ->and(array_column($this->getJson('/api/profiles')->assertOk()->json(), 'name'))->toBe(['Quay shuffle']);
    $mine = auth()->user();
    $this->actingAs($this->teacher('Other'))->getJson('/api/profiles')->assertExactJson([]);
    $this->deleteJson("/api/profiles/{$kept['id']}")->assertNotFound();
    $this->actingAs($mine)->deleteJson("/api/profiles/{$kept['id']}")->assertNoContent();
    $this->getJson('/api/profiles')->assertExactJson([]);
});
