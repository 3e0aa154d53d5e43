<?php

declare(strict_types=1);

use App\Models\Breakdown;
use App\Models\BreakdownRevision;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Facades\Artisan;

/** What an older Gravik stored: the row and its version in the shape of then. */
function storedOfOld(Breakdown $breakdown, string $document): void
{
    Breakdown::query()->whereKey($breakdown->id)->toBase()->update(['document' => $document]);
    BreakdownRevision::query()->where('breakdown_id', $breakdown->id)->toBase()->update(['document' => $document]);
}

/** @return list<int> versions of the documents that are stored, breakdowns before their versions */
function storedVersions(): array
{
    $documents = [...Breakdown::query()->orderBy('id')->pluck('document'), ...BreakdownRevision::query()->orderBy('id')->pluck('document')];

    return array_map(static fn (string $document): int => json_decode($document, true)['version'] ?? 0, $documents);
}

it('gives out what an older Gravik stored as documents are today: the breakdown, its versions, its files', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $now = json_decode($breakdown->document, true);
    storedOfOld($breakdown, (string) json_encode(Examples::document()));
    $version = BreakdownRevision::query()->where('breakdown_id', $breakdown->id)->firstOrFail()->id;
    $this->actingAs($teacher);

    expect($this->getJson("/api/breakdowns/{$breakdown->id}")->assertOk()->json('document'))->toBe($now)
        ->and($this->getJson("/api/breakdowns/{$breakdown->id}/versions/{$version}")->assertOk()->json('document'))->toBe($now)
        ->and(json_decode((string) $this->get("/api/breakdowns/{$breakdown->id}/export/json")->assertOk()->getContent(), true))->toBe($now)
        ->and($this->postJson('/api/compute/upgrade', ['document' => Examples::document()])->assertOk()->json('document'))->toBe($now);
});

it('saves an old document that an old page sends as it is written today, and refuses one of a newer Gravik by name', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher)->putJson(
        "/api/breakdowns/{$breakdown->id}",
        ['document' => Examples::document(['title' => 'Ebb']), 'revision' => 1, 'sitting' => 'old'],
    )
        ->assertOk()->assertJsonPath('document.version', BreakdownJson::VERSION)->assertJsonPath('document.title', 'Ebb');
    $this->putJson(
        "/api/breakdowns/{$breakdown->id}",
        ['document' => ['version' => 3] + Examples::full(), 'revision' => 2, 'sitting' => 'new'],
    )
        ->assertUnprocessable()->assertJsonPath('at', '/version')->assertJsonPath(
            'message',
            static fn (string $said): bool => str_contains($said, 'Update Gravik'),
        );

    expect(storedVersions())->toBe([2, 2, 2])->and(Breakdown::query()->firstOrFail()->revision)->toBe(2);
});

it('rewrites stored documents block by block, leaves alone what is done or cannot be read, and changes nothing else', function (): void {
    $teacher = $this->teacher();
    $old = array_map(fn (int $number): Breakdown => $this->shelved($teacher, ['title' => "Tide {$number}"]), range(1, 5));
    foreach (array_slice($old, 0, 4) as $breakdown) {
        storedOfOld($breakdown, (string) json_encode(Examples::document(['title' => $breakdown->title])));
    }
    $old[3]->delete();
    Breakdown::query()->whereKey($old[2]->id)->toBase()->update(['document' => '{"format":"gravik-breakdown","version":1}']);
    $before = Breakdown::withTrashed()->orderBy('id')->get(['id', 'revision', 'updated_at', 'deleted_at', 'title'])->toArray();

    expect(Artisan::call('gravik:upgrade', ['--block' => 2]))->toBe(1)
        ->and(Artisan::output())
        ->toContain('3 breakdowns rewritten')
        ->toContain("breakdowns {$old[2]->id}: ")
        ->toContain('4 versions rewritten')
        ->and(Breakdown::withTrashed()->whereKeyNot($old[2]->id)->pluck('document')->map(static fn (string $document): int => json_decode($document, true)['version'])->unique()->all())->toBe([2])
        ->and(Breakdown::withTrashed()->orderBy('id')->get(['id', 'revision', 'updated_at', 'deleted_at', 'title'])->toArray())->toBe($before);
    Artisan::call('gravik:upgrade');
    expect(Artisan::output())->toContain('0 breakdowns rewritten')->toContain('0 versions rewritten');
});

it('hands out where everything is played, splits and moves sections, and gives one strokes of its own', function (): void {
    $this->actingAs($this->teacher());
    $document = Examples::full();
    $places = $this->postJson('/api/compute/places', ['document' => $document])->assertOk()->json();
    $own = $this->postJson(
        '/api/compute/played-here',
        ['document' => $document, 'pass' => '1', 'section' => 'a', 'what' => 'pattern'],
    )->assertOk()->json('document');

    expect(array_map(
        static fn (array $place): string => "{$place['pass']} {$place['section']} {$place['pattern']} {$place['line']} {$place['meter']}",
        $places,
    ))
        ->toBe(['1 a p1 low 4/4', '1 b p2 low 3/4', '2 a p1 low 4/4', '2 b p2 low 3/4'])
        ->and($own['passes'][0]['cells'])->toBe([['part' => 'guitar', 'section' => 'a', 'pattern' => 'p4']]);
    $this->postJson(
        '/api/compute/split-section',
        ['document' => $document, 'section' => 'b', 'bar' => 1],
    )->assertOk()->assertJsonPath('document.sections.2.line', '| C |');
    $this->postJson('/api/compute/split-section', ['document' => $document, 'section' => 'b', 'bar' => 9])->assertUnprocessable();
    $this->postJson(
        '/api/compute/move-section',
        ['document' => $document, 'section' => 'b', 'position' => 0],
    )->assertOk()->assertJsonPath('document.sections.0.id', 'b');
    $this->postJson('/api/compute/without-section', ['document' => $document, 'section' => 'z'])->assertUnprocessable();
    $this->postJson(
        '/api/compute/strokes',
        ['document' => $document, 'pass' => '2', 'section' => 'b'],
    )->assertOk()->assertJsonPath('pattern', 'p2')->assertJsonPath('sketch.beats_a_bar', 3);
    $this->postJson('/api/compute/strokes', ['document' => $document, 'pass' => '9'])->assertUnprocessable();
});
