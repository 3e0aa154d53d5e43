<?php

declare(strict_types=1);

use App\Documents\BreakdownStore;
use App\Models\Take;
use App\Models\User;
use Gravik\Breakdown\Change\AloneArranger;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\WavFile;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;

function takeOf(string $id, float $biasMs = 0, ?float $latency = 0, float $tempo = 120): array
{
    $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo($tempo));

    return [
        'id' => $id,
        'tempo' => $tempo,
        'bars' => 8,
        'latency_ms' => $latency,
        'taps' => (new SimulatedPlayer($biasMs, 0, 3, 0, 5))->taps($timeline, 8),
    ];
}

it('judges a take, keeps it once and lists it', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $id = $this->newId();
    foreach ([1, 2] as $press) {
        $this->postJson(
            "/api/breakdowns/{$breakdown->id}/takes",
            takeOf($id, 25),
        )->assertCreated()->assertJsonPath('number', 1)->assertJsonPath('report.missed', 0);
    }
    $this->getJson("/api/breakdowns/{$breakdown->id}/takes")
        ->assertOk()
        ->assertJsonCount(1, 'items')
        ->assertJsonPath('items.0.id', $id)
        ->assertJsonPath('items.0.passed', false)
        ->assertJsonMissingPath('items.0.report');
    $take = $this->getJson("/api/breakdowns/{$breakdown->id}/takes/{$id}")->assertOk()->json();

    expect($take['report']['bias_ms'])->toEqualWithDelta(25, 2)
        ->and($take['report']['gate']['passed'])->toBeFalse()
        ->and($take['report']['planned'])->toBe(48)
        ->and($take['swing'])->toEqual(1)->and($take['revision'])->toBe(1)
        ->and(Take::query()->sole()->strokes)->toHaveCount(48);
});

it('takes the device\'s delay off, and says where it was never measured', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);

    $measured = $this->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($this->newId(), 60, 60))->json('report');
    $unknown = $this->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($this->newId(), 60, null))->json('report');

    expect($measured['bias_ms'])->toEqualWithDelta(0, 2)->and($measured['latency_ms'])->toEqual(60)
        ->and($unknown['bias_ms'])->toEqualWithDelta(60, 2)->and($unknown['latency_ms'])->toBeNull();
});

it('judges a take against the bars it begins with, and keeps which they are', function (): void {
    $teacher = $this->teacher();
    $passes = array_map(fn (string $id): array => ['id' => $id, 'name' => '', 'notes' => '', 'cells' => [
        ['part' => 'guitar', 'section' => 'a', 'texture' => $id === '1' ? 'free' : 'pattern'],
    ]], ['1', '2']);
    $document = array_replace(Examples::full(), [
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm | A7 |']], 'form' => [['section' => 'a', 'times' => 1]],
        'passes' => $passes, 'moves' => [], 'placed' => [], 'cells' => [], 'figures' => [],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
    ]);
    $breakdown = app(BreakdownStore::class)->create($teacher, null, (new BreakdownJson())->read($document), 'setting up');
    $this->actingAs($teacher);
    $id = $this->newId();
    $take = $this->postJson("/api/breakdowns/{$breakdown->id}/takes", ['from' => 2, 'bars' => 2] + takeOf($id))->assertCreated();

    expect($take->json('from_bar'))->toBe(2)->and($take->json('report.planned'))->toBeGreaterThan(0)
        ->and(array_column($take->json('report.hits'), 'bar'))->each->toBeGreaterThanOrEqual(2)
        ->and(Take::query()->find($id)?->from_bar)->toBe(2);
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", ['from' => -1] + takeOf($this->newId()))->assertJsonValidationErrors('from');
});

it('judges a take against the arrangement it was played in', function (): void {
    $teacher = $this->teacher();
    $song = (new AloneArranger())->arrange(Examples::breakdown([], 'x.......'));
    $breakdown = app(BreakdownStore::class)->create($teacher, null, $song, 'setting up');
    $this->actingAs($teacher);
    $take = fn (?string $arrangement) => $this->postJson(
        "/api/breakdowns/{$breakdown->id}/takes",
        ['arrangement' => $arrangement, 'taps' => array_map(static fn (int $bar): array => ['t' => 2 * $bar], range(0, 7))]
            + takeOf($this->newId()),
    );
    $withBand = $take(null)->assertCreated()->assertJsonPath('arrangement', 'with-band');
    $alone = $take('alone')->assertCreated()->assertJsonPath('arrangement', 'alone');

    // Alone the gaps are filled, so that one stroke in a bar is not enough.
    expect($withBand->json('report.planned'))->toBe(8)->and($withBand->json('report.missed'))->toBe(0)
        ->and($alone->json('report.planned'))->toBeGreaterThan(8)->and($alone->json('report.missed'))->toBeGreaterThan(0);
    $take('in a duo')->assertJsonValidationErrors('arrangement');
});

it('practises at the last clean tempo once there is one', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $first = $this->postJson(
        "/api/breakdowns/{$breakdown->id}/takes",
        takeOf($this->newId(), 60),
    )->json('report.findings.0.practise.tempo');
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($this->newId(), 0, 0, 95))->assertJsonPath('report.gate.passed', true);
    $second = $this->postJson(
        "/api/breakdowns/{$breakdown->id}/takes",
        takeOf($this->newId(), 60),
    )->json('report.findings.0.practise.tempo');

    expect([$first, $second])->toBe([80, 95]);
});

it('keeps a report as it was when the breakdown changes', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $before = $this->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($id = $this->newId()))->json('report');
    $this->putJson(
        "/api/breakdowns/{$breakdown->id}",
        ['document' => Examples::document(['feel' => Examples::swing(2)]), 'revision' => 1, 'sitting' => 'one'],
    )->assertOk();

    expect($this->getJson("/api/breakdowns/{$breakdown->id}/takes/{$id}")->json('report'))->toEqual($before);
});

it('shows students their own takes only, and the teacher everybody\'s', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $students = [$this->student('Student A'), $this->student('Student B')];
    $breakdown->students()->attach($students);
    foreach ($students as $student) {
        $this->actingAs($student)->postJson(
            "/api/breakdowns/{$breakdown->id}/takes",
            takeOf($this->newId()),
        )->assertCreated()->assertJsonPath('number', 1);
    }

    $this->actingAs($students[0])->getJson("/api/breakdowns/{$breakdown->id}/takes")->assertJsonCount(1, 'items')->assertJsonPath(
        'items.0.player',
        'Student A',
    );
    $this->actingAs($students[0])->getJson('/api/breakdowns')->assertJsonPath('items.0.takes', 1);
    $this->actingAs($teacher)->getJson("/api/breakdowns/{$breakdown->id}/takes")->assertJsonCount(2, 'items');
    $taken = Take::query()->where('player_id', $students[1]->id)->value('id');
    $this->actingAs($students[0])->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($taken))->assertStatus(409);
});

it('writes the log as a table, each their own, and no name in it is a formula', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $student = $this->student('=SUM(A1)');
    $breakdown->students()->attach($student);
    foreach ([$teacher, $student] as $player) {
        $this->actingAs($player)->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($this->newId(), 25))->assertCreated();
    }
    $rows = function (User $user) use ($breakdown): array {
        $table = $this->actingAs($user)->get("/api/breakdowns/{$breakdown->id}/takes.csv")->assertOk()->streamedContent();

        return array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($table)));
    };

    expect(array_column($rows($teacher), 0))->toBe(['player', 'Teacher', "'=SUM(A1)"])
        ->and(array_column($rows($student), 0))->toBe(['player', "'=SUM(A1)"])
        ->and(array_combine(...$rows($student)))->toMatchArray(['number' => '1', 'tempo' => '120', 'bars' => '8', 'passed' => 'no']);
    $this->actingAs($this->student('Other'))->getJson("/api/breakdowns/{$breakdown->id}/takes.csv")->assertNotFound();
});

it('refuses takes that are none, and keeps nothing of them', function (array $change, string $message): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher)->postJson("/api/breakdowns/{$breakdown->id}/takes", $change + takeOf($this->newId()))
        ->assertStatus(422)->assertJsonPath('message', static fn (string $said): bool => str_contains($said, $message));

    expect(Take::query()->count())->toBe(0);
})->with([
    'no id' => [['id' => 'take one'], 'id'],
    'tempo 0' => [['tempo' => 0], 'Choose 20 to 400'],
    'a thousand bars' => [['bars' => 1000], 'bars'],
    'taps without times' => [['taps' => [['key' => 'down']]], 'Tap 1 has no time'],
    'a delay of two seconds' => [['latency_ms' => 2000], 'latency'],
]);

it('measures a device\'s delay and keeps it for that device and person', function (): void {
    $clicks = array_map(static fn (int $click): float => $click * 0.6, range(0, 15));
    $this->actingAs($this->teacher())->putJson(
        '/api/calibrations/tablet',
        ['clicks' => $clicks, 'taps' => array_map(static fn (float $click): float => $click + 0.042, $clicks)],
    )
        ->assertOk()->assertJsonPath('latency_ms', 42)->assertJsonPath('spread_ms', 0);
    $this->getJson('/api/calibrations/tablet')->assertJsonPath('calibration.latency_ms', 42);
    $this->getJson('/api/calibrations/phone')->assertJsonPath('calibration', null);
    $this->putJson('/api/calibrations/tablet', ['clicks' => $clicks, 'taps' => [0.1]])->assertStatus(422)->assertJsonPath(
        'message',
        static fn (string $said): bool => str_contains($said, 'too few'),
    );
    $this->actingAs($this->student())->getJson('/api/calibrations/tablet')->assertJsonPath('calibration', null);
});

it('seeds a made-up band with breakdowns in several feels, one of them practised', function (): void {
    $this->seed();
    $maren = App\Models\User::query()->where('email', 'maren@gravik.demo')->sole();
    $shelf = $this->actingAs($maren)->getJson('/api/breakdowns')->assertOk()->json('items');

    expect(count($shelf))->toBeGreaterThanOrEqual(4)
        ->and(count(array_unique(array_column($shelf, 'feel'))))->toBeGreaterThanOrEqual(4)
        ->and(array_sum(array_column($shelf, 'takes')))->toBeGreaterThanOrEqual(3)
        ->and(array_filter(array_map(
            static fn (array $card): bool => (new BreakdownJson())
                ->read(test()->getJson('/api/breakdowns/'.$card['id'])->json('document'))
                ->written()->chords === [],
            $shelf,
        )))->toBe([]);
    $this->seed();
    expect($this->getJson('/api/breakdowns')->json('items'))->toHaveCount(count($shelf));
});

it('judges a take by the gate that the teacher set for its stage, and refuses stages that no lesson has', function (): void {
    $document = Examples::document(
        ['gates' => [['stage' => 2, 'biasMs' => 60, 'spreadMs' => 60, 'swingPoints' => 20, 'missedShare' => 0.5]]],
        'xxxx',
        1,
    );
    $id = $this->newId();
    $this->actingAs($this->teacher())->postJson(
        '/api/breakdowns',
        ['id' => $id, 'document' => $document, 'sitting' => 'one'],
    )->assertCreated();
    $take = fn (array $part) => $this->postJson(
        "/api/breakdowns/{$id}/takes",
        [
            ...[
                'id' => $this->newId(),
                'tempo' => 120,
                'bars' => 4,
                'taps' => array_map(static fn (int $beat): array => ['t' => 0.5 * $beat + 0.04], range(0, 15)),
                'latency_ms' => 0,
            ],
            ...$part,
        ],
    );

    expect($take(['stage' => 'damped-rhythm'])->assertCreated()->json('report.gate'))->toMatchArray(['passed' => true, 'bias_ms' => 60])
        ->and($take([])->assertCreated()->json())->toMatchArray(['stage' => ''])
        ->and($take([])->json('report.gate.passed'))->toBeFalse()
        ->and($take([])->json('strokes.1'))->toBe(0.54)
        ->and($take([])->json('report.bars.3.ms'))->toEqualWithDelta(40, 0.1);
    $take(['stage' => 'encore'])->assertUnprocessable();
});

it('judges a take by the level that was asked for', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $thinned = (new Performer())->perform(Examples::breakdown(), new Tempo(120), null, 1);
    $taps = (new SimulatedPlayer(0, 0, 3, 0, 5))->taps($thinned, 8);
    $this->actingAs($teacher);
    $send = fn (?int $level) => $this->postJson(
        "/api/breakdowns/{$breakdown->id}/takes",
        ['id' => $this->newId(), 'tempo' => 120, 'bars' => 8, 'latency_ms' => 0, 'taps' => $taps]
            + ($level === null ? [] : ['level' => $level]),
    )->assertCreated();

    expect($send(1)->assertJsonPath('level', 1)->json('report'))->toMatchArray(['missed' => 0, 'extra' => 0])
        ->and($send(null)->assertJsonPath('level', 3)->json('report.missed'))->toBeGreaterThan(8);
});

it('keeps the version that a take was played to, however soon the next save comes', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $save = fn (string $title, int $from) => $this->putJson(
        "/api/breakdowns/{$breakdown->id}",
        ['document' => Examples::document(['title' => $title]), 'revision' => $from, 'sitting' => 'one'],
    )->assertOk();
    $save('As it was played', 1);
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($this->newId()))->assertCreated()->assertJsonPath('revision', 2);
    $save('A minute later', 2);
    $save('As it was exported', 3);
    $this->get("/api/breakdowns/{$breakdown->id}/export/json")->assertOk();
    $save('In the end', 4);

    expect($breakdown->revisions()->orderBy('number')->pluck('number')->all())->toBe([1, 2, 4, 5])
        ->and($breakdown->revisions()->where('number', 2)->sole()->document)->toContain('As it was played');
});

it('takes an empty delay for one that was never measured', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo(120));
    $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 3, 0, 5))->play($timeline, 2)))->wav(22050);

    $this->actingAs($teacher)->call(
        'POST',
        "/api/breakdowns/{$breakdown->id}/recordings?id={$this->newId()}&tempo=120&bars=2&latency_ms=&first_beat=",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $wav,
    )
        ->assertCreated()->assertJsonPath('take.latency_ms', null);
});

it('neither hears nor judges a take again that was sent twice, and gives nobody another one\'s', function (): void {
    $teacher = $this->teacher();
    [$breakdown, $other] = [$this->shelved($teacher), $this->shelved($teacher, ['title' => 'Another'])];
    $this->actingAs($teacher)->postJson("/api/breakdowns/{$breakdown->id}/takes", takeOf($id = $this->newId()))->assertCreated();
    $silence = WavFile::write([array_fill(0, 8000, 0.0)], 8000, 8000);
    $again = fn (string $of) => $this->call(
        'POST',
        "/api/breakdowns/{$of}/recordings?id={$id}&tempo=120&bars=8&latency_ms=",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $silence,
    );

    $again($breakdown->id)->assertCreated()->assertJsonPath('take.number', 1);
    $again($other->id)->assertStatus(409);
    $this->postJson("/api/breakdowns/{$other->id}/takes", takeOf($id))->assertStatus(409)->assertJsonMissingPath('report');
    expect(Take::query()->count())->toBe(1);
});
