<?php

declare(strict_types=1);

use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Carbon;

function saving(array $fields, int $revision, string $sitting = 'one'): array
{
    return ['document' => Examples::document($fields), 'revision' => $revision, 'sitting' => $sitting];
}

it('puts a breakdown on the shelf once, however often the button is pressed', function (): void {
    $id = $this->newId();
    $this->actingAs($this->teacher());
    foreach ([1, 2] as $press) {
        $this->postJson(
            '/api/breakdowns',
            ['id' => $id, 'document' => Examples::document(), 'sitting' => 'one'],
        )->assertCreated()->assertJsonPath('id', $id)->assertJsonPath('revision', 1);
    }
    expect(Breakdown::query()->count())->toBe(1);
    $this->getJson('/api/breakdowns')->assertOk()->assertJsonCount(1, 'items')->assertJsonPath(
        'items.0.title',
        'Tide Table',
    )->assertJsonPath('items.0.mine', true)->assertJsonPath('total', 1);
});

it('never hands over somebody else\'s breakdown for a guessed id', function (): void {
    $theirs = $this->shelved($this->teacher('Other'));
    $this->actingAs($this->teacher())->postJson(
        '/api/breakdowns',
        ['id' => $theirs->id, 'document' => Examples::document(), 'sitting' => 'one'],
    )->assertStatus(409)->assertJsonMissingPath('document');
});

it('saves, and joins the saves of one sitting into one version', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    foreach ([1, 2, 3] as $revision) {
        $this->putJson(
            "/api/breakdowns/{$breakdown->id}",
            saving(['title' => "Take {$revision}"], $revision),
        )->assertOk()->assertJsonPath('revision', $revision + 1);
    }
    $this->travelTo(Carbon::now()->addMinutes(6));
    $this->putJson("/api/breakdowns/{$breakdown->id}", saving(['title' => 'After tea'], 4))->assertOk();
    $versions = array_map(
        fn (array $version): array => $this->getJson("/api/breakdowns/{$breakdown->id}/versions/{$version['id']}")->assertOk()->json(),
        $this->getJson("/api/breakdowns/{$breakdown->id}/versions")->assertOk()->json('items'),
    );

    expect(array_map(
        static fn (array $version): string => $version['document']['title'],
        $versions,
    ))->toBe(['After tea', 'Take 3', 'Tide Table']);
    $this->putJson(
        "/api/breakdowns/{$breakdown->id}",
        ['document' => $versions[2]['document'], 'revision' => 5, 'sitting' => 'one'],
    )->assertOk()->assertJsonPath('document.title', 'Tide Table');
});

it('refuses a stale save, shows the saved one, and keeps both', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $this->putJson("/api/breakdowns/{$breakdown->id}", saving(['title' => 'From the tablet'], 1, 'tablet'))->assertOk();
    $this->putJson("/api/breakdowns/{$breakdown->id}", saving(['title' => 'From the desk'], 1, 'desk'))->assertStatus(409)
        ->assertJsonPath('saved.document.title', 'From the tablet')->assertJsonPath('saved.revision', 2);

    expect($breakdown->fresh()?->title)->toBe('From the tablet')
        ->and(BreakdownRevision::query()->where('refused', true)->pluck('document')->map(static fn (string $json): string => json_decode($json, true)['title'])->all())->toBe(['From the desk']);
});

it('takes the same save twice as one', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    foreach ([1, 2] as $press) {
        $this->putJson(
            "/api/breakdowns/{$breakdown->id}",
            saving(['title' => 'Pressed twice'], 1),
        )->assertOk()->assertJsonPath('revision', 2);
    }
});

it('changes nothing when a save is refused', function (array $body, string $message): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $before = $breakdown->fresh()?->document;
    $this->actingAs($teacher)->putJson("/api/breakdowns/{$breakdown->id}", $body + ['revision' => 1, 'sitting' => 'one'])
        ->assertStatus(422)->assertJsonStructure(['message', 'errors'])->assertJsonPath(
            'message',
            static fn (string $said): bool => str_contains($said, $message),
        );

    expect($breakdown->fresh()?->document)->toBe($before)->and($breakdown->fresh()?->revision)->toBe(1);
})->with([
    'no document' => [[], 'is not a breakdown'],
    'a list' => [['document' => [1, 2]], 'is not a breakdown'],
    'tempo 0' => [['document' => Examples::document(['tempo' => 0])], 'Choose 20 to 400'],
    'no title' => [['document' => Examples::document(['title' => '  '])], 'needs a title'],
    'slots off the grid' => [
        ['document' => Examples::document(['pattern' => [
            'ticks' => 3840,
            'streams' => [['name' => 's', 'strokes' => [['at' => 7, 'division' => 2]]]],
        ]])],
        'does not lie on a beat',
    ],
    'a field nobody knows' => [['document' => Examples::document(['smuggled' => true])], '"smuggled" is not known'],
]);

it('says where a document is wrong', function (): void {
    $teacher = $this->teacher();
    $this->actingAs($teacher)->putJson(
        "/api/breakdowns/{$this->shelved($teacher)->id}",
        ['document' => ['meter' => '4/3'] + Examples::document(), 'revision' => 1, 'sitting' => 'one'],
    )->assertStatus(422)->assertJsonPath('at', '/meter');
});

it('takes a breakdown off the shelf and puts it back as it was', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $document = $this->actingAs($teacher)->getJson("/api/breakdowns/{$breakdown->id}")->json('document');
    $this->deleteJson("/api/breakdowns/{$breakdown->id}")->assertNoContent();
    $this->getJson('/api/breakdowns')->assertJsonCount(0, 'items');
    $this->getJson("/api/breakdowns/{$breakdown->id}")->assertNotFound()->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'Go back to the shelf'),
    );
    $this->postJson("/api/breakdowns/{$breakdown->id}/put-back")->assertNoContent();
    $this->getJson("/api/breakdowns/{$breakdown->id}")->assertOk()->assertJsonPath('document', $document);
});

it('keeps every door shut to another teacher', function (string $method, string $path): void {
    $breakdown = $this->shelved($this->teacher('Owner'));
    $this->actingAs($this->teacher('Stranger'))->json(
        $method,
        "/api/breakdowns/{$breakdown->id}{$path}",
        saving([], 1) + ['id' => $this->newId(), 'tempo' => 120, 'bars' => 4, 'taps' => [], 'latency_ms' => null],
    )->assertNotFound();
})->with([
    ['GET', ''], ['PUT', ''], ['DELETE', ''], ['POST', '/put-back'], ['GET', '/versions'], ['GET', '/export/json'], ['GET', '/takes'], ['POST', '/takes'],
]);

it('shows a student what is assigned and nothing else, to play and not to change', function (): void {
    $teacher = $this->teacher();
    $student = $this->student();
    $assigned = $this->shelved($teacher, ['title' => 'Assigned']);
    $hidden = $this->shelved($teacher, ['title' => 'Hidden']);
    $assigned->students()->attach($student);
    $this->actingAs($student);

    $this->getJson('/api/breakdowns')
        ->assertJsonCount(1, 'items')
        ->assertJsonPath('items.0.title', 'Assigned')
        ->assertJsonPath('items.0.mine', false);
    $this->getJson("/api/breakdowns/{$assigned->id}")->assertOk();
    $this->getJson("/api/breakdowns/{$assigned->id}/export/midi")->assertOk();
    $this->getJson("/api/breakdowns/{$hidden->id}")->assertNotFound();
    $this->putJson("/api/breakdowns/{$assigned->id}", saving([], 1))->assertForbidden();
    $this->deleteJson("/api/breakdowns/{$assigned->id}")->assertForbidden();
    $this->getJson("/api/breakdowns/{$assigned->id}/versions")->assertForbidden();
    $this->postJson('/api/breakdowns', ['document' => Examples::document(), 'sitting' => 'one'])->assertForbidden();
});

it('exports what can be imported again as the same breakdown', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved(
        $teacher,
        [
            'notes' => 'Bring the mutes.',
            'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]]],
        ],
    );
    $this->actingAs($teacher);
    $file = $this->get("/api/breakdowns/{$breakdown->id}/export/json")->assertOk()->assertDownload('tide-table.gravik.json');
    $again = $this->postJson(
        '/api/breakdowns',
        ['document' => json_decode((string) $file->getContent(), true), 'sitting' => 'two'],
    )->assertCreated();

    expect($again->json('document'))->toBe($this->getJson("/api/breakdowns/{$breakdown->id}")->json('document'));
    $this->get("/api/breakdowns/{$breakdown->id}/export/midi")
        ->assertOk()
        ->assertDownload('tide-table.mid')
        ->assertHeader('Content-Type', 'audio/midi');
    $this->getJson("/api/breakdowns/{$breakdown->id}/export/mp3")->assertStatus(422)->assertJsonPath(
        'message',
        '"mp3" is no format we write. Choose one of pdf, html, svg, musicxml, mxl, chordpro, tab, midi, wav, csv, json.',
    );
});

it('refuses bodies that no breakdown can have before it reads them', function (): void {
    $this->actingAs($this->teacher());
    $response = $this->call(
        'POST',
        '/api/breakdowns',
        [],
        [],
        [],
        ['HTTP_CONTENT_LENGTH' => (string) (20 * 1024 * 1024), 'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        '{}',
    );

    expect($response->status())->toBe(413)->and($response->json('message'))->toContain('20.0 MB');
});

it('survives bodies that are not JSON', function (string $body): void {
    $this->actingAs($this->teacher());
    $response = $this->call(
        'POST',
        '/api/breakdowns',
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );

    expect($response->status())->toBe(422)->and($response->json('message'))->toBeString()->not->toContain('Exception');
})->with(['', '{', '[[[[', '"text"', "\xFF\xFE", 'null']);

it('lists the shelf page by page, each breakdown once, and finds by any of its words', function (): void {
    $teacher = $this->teacher();
    foreach (range(1, 63) as $number) {
        $this->shelved($teacher, ['title' => sprintf('Tide %02d', $number), 'key' => $number % 9 === 0 ? 'E♭ major' : 'D minor']);
    }
    $this->actingAs($teacher);
    $first = $this->getJson('/api/breakdowns')->assertOk()->assertJsonPath('total', 63)->assertJsonCount(60, 'items')->json();
    $second = $this->getJson('/api/breakdowns?cursor='.$first['next'])
        ->assertOk()
        ->assertJsonPath('next', null)
        ->assertJsonPath('total', null)
        ->json();

    expect(array_unique(array_column([...$first['items'], ...$second['items']], 'title')))->toHaveCount(63)
        ->and(array_column($this->getJson('/api/breakdowns?search='.rawurlencode('e♭ TIDE 45'))->json('items'), 'title'))->toBe(['Tide 45'])
        ->and($this->getJson('/api/breakdowns?search='.rawurlencode('100%'))->json('items'))->toBe([]);
});
