<?php

declare(strict_types=1);

use App\Documents\BreakdownStore;
use App\Models\Assignment;
use App\Models\KeptUpkeep;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Facades\DB;

it('gives work to one’s own students alone, in the version of today', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    [$other, $stranger] = [$this->teacher('Other'), $this->student('Stranger')];
    $asked = ['breakdown' => $breakdown->id, 'students' => [$student->id], 'due_on' => '2027-01-09', 'minutes' => 12];
    $this->actingAs($other)->postJson('/api/assignments', $asked)->assertNotFound();
    $this->actingAs($teacher)->postJson('/api/assignments', ['students' => [$student->id, $stranger->id]] + $asked)->assertNotFound();
    $this->postJson('/api/assignments', ['students' => []] + $asked)->assertStatus(422);
    $this->postJson('/api/assignments', ['due_on' => 'soon'] + $asked)->assertStatus(422);
    $this->postJson('/api/assignments', ['stages' => ['juggling']] + $asked)->assertStatus(422);
    $this->actingAs($student)->getJson("/api/breakdowns/{$breakdown->id}")->assertNotFound();
    $id = $this->actingAs($teacher)->postJson('/api/assignments', $asked)->assertCreated()
        ->assertJsonPath('0.revision', 1)->assertJsonPath('0.stage_name', 'the whole song')->json('0.id');
    $this->actingAs($student)->getJson('/api/assignments')->assertOk()->assertJsonCount(1)->assertJsonPath('0.due_on', '2027-01-09');
    $this->getJson("/api/breakdowns/{$breakdown->id}")->assertOk();
    $this->putJson("/api/assignments/{$id}", ['minutes' => 5])->assertNotFound();
    $this->deleteJson("/api/assignments/{$id}")->assertNotFound();
    $this->actingAs($stranger)->getJson('/api/assignments')->assertOk()->assertExactJson([]);
    $this->actingAs($other)->getJson("/api/assignments?student={$student->id}")->assertOk()->assertExactJson([]);
    $this->actingAs($teacher)->deleteJson("/api/assignments/{$id}")->assertNoContent();
    $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake(0))->assertNotFound();
});

it('keeps the version a student was given, says what differs since, and goes on with today’s when it is asked to', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $asked = ['breakdown' => $breakdown->id, 'students' => [$student->id]];
    $id = $this->actingAs($teacher)->postJson('/api/assignments', $asked)->json('0.id');
    $store = app(BreakdownStore::class);
    $store->save($breakdown, $teacher, Examples::breakdown(['tempo' => 99]), 1, 'another sitting');
    $seen = fn () => $this->actingAs($student)->getJson("/api/breakdowns/{$breakdown->id}")->json();

    expect($seen()['document']['start']['tempo'])->toBe(120)->and($seen()['revision'])->toBe(1);
    $this->getJson('/api/assignments')->assertJsonPath('0.differs', ['the tempo is 99 instead of 120']);
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake(0))->assertCreated()->assertJsonPath('revision', 1);
    $this->actingAs($teacher)->putJson("/api/assignments/{$id}", ['renew' => true])->assertOk()->assertJsonPath('revision', 2);
    expect($seen()['document']['start']['tempo'])->toBe(99);
    $this->getJson('/api/assignments')->assertJsonPath('0.differs', []);
});

it('opens the next stage when a gate is passed, and brings back what was passed', function (bool $opens): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $stages = ['slow-and-even', 'full-run'];
    $this->actingAs($teacher)->postJson('/api/assignments', [
        'breakdown' => $breakdown->id, 'students' => [$student->id], 'stages' => $stages, 'opens' => $opens,
    ])->assertCreated()->assertJsonPath('0.stage', 'slow-and-even');
    $this->actingAs($student);
    $play = fn (float $bias, ?string $stage) => $this
        ->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake($bias, $stage))->assertCreated();
    $at = fn () => Assignment::query()->sole();
    $play(60, 'slow-and-even')->assertJsonPath('passed', false);
    expect($at()->reached)->toBe(0)->and(KeptUpkeep::query()->exists())->toBeFalse();
    $play(0, 'slow-and-even')->assertJsonPath('passed', true);
    expect($at()->reached)->toBe($opens ? 1 : 0)->and(KeptUpkeep::query()->sole()->days)->toBe(2);
    if ($opens) {
        $play(0, 'full-run');
        expect($at()->passed_at)->not->toBeNull()->and(KeptUpkeep::query()->count())->toBe(2);
    }
    $this->travel(3)->days();
    $play(0, 'slow-and-even');
    $kept = KeptUpkeep::query()->where('stage', 'slow-and-even')->sole();
    expect($kept->days)->toBe(4)->and($kept->due_on->toDateString())->toBe(now()->addDays(4)->toDateString());
    $play(60, 'slow-and-even');
    expect($kept->refresh()->days)->toBe(4);
    $this->travel(4)->days();
    $play(60, 'slow-and-even');
    expect($kept->refresh()->days)->toBe(2);
})->with([true, false]);

it('fits what is due into the minutes of the day, and takes it easy where the hand hurts', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $second = $this->shelved($teacher, ['title' => 'Ebb']);
    foreach ([[$breakdown, now()->toDateString()], [$second, null]] as [$each, $due]) {
        $this->actingAs($teacher)->postJson('/api/assignments', [
            'breakdown' => $each->id, 'students' => [$student->id], 'minutes' => 20, 'due_on' => $due,
        ]);
    }
    $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake(60))->assertCreated();
    $day = $this->getJson('/api/day?minutes=50&level=97&played=15')->assertOk();

    expect(array_column($day->json('items'), 'kind'))->toBe(['assignment', 'break', 'assignment'])
        ->and($day->json('items.0.reason'))->toBe('not there yet, due today')->and($day->json('items.0.finding'))->not->toBeNull()
        ->and($day->json('items.2.reason'))->toBe('new')->and($day->json('minutes'))->toBeLessThanOrEqual(50)
        ->and($day->json('hearing.share'))->toBe(0.5)->and($day->json('hearing.left'))->toBe(15)
        ->and(max(array_column($this->getJson('/api/day?minutes=50&hurts=1')->json('items'), 'minutes')))->toBe(5);
    $this->getJson('/api/day?minutes=5')->assertStatus(422)->assertJsonPath('message', 'A day of practice has 10 to 90 minutes, not 5.');
    $this->getJson('/api/day?level=200')->assertStatus(422);
});

it('shows a teacher where each student is stuck, and answers in as many queries for many as for one', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]]);
    $this->actingAs($student);
    foreach ([0, 60, 60] as $bias) {
        $take = $this->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake($bias))->json();
        $this->travel(1)->hours();
    }
    $count = function () use ($teacher): int {
        $this->actingAs($teacher);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson('/api/class')->assertOk();

        return count(DB::getQueryLog());
    };
    $this->actingAs($teacher)->getJson('/api/class')->assertOk()->assertJsonPath('0.stuck.finding', $take['finding'])
        ->assertJsonPath('0.new', 3)->assertJsonCount(3, '0.sittings')->assertJsonPath('0.on.title', 'Tide Table');
    $one = $count();
    foreach (range(1, 6) as $number) {
        $teacher->students()->attach($this->student("Pupil {$number}"));
    }

    expect($count())->toBe($one);
    $this->actingAs($student)->getJson('/api/class')->assertForbidden();
    $this->actingAs($this->teacher('Other'))->getJson('/api/class')->assertOk()->assertExactJson([]);
});

it('keeps what teacher and student say of a take, between the two of them', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $classmate = $this->student('Classmate');
    $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]]);
    $breakdown->students()->attach($classmate);
    $take = $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake(0))->json('id');
    $address = "/api/breakdowns/{$breakdown->id}/takes/{$take}/remarks";
    $this->postJson($address, ['text' => 'The 2& felt late.', 'seconds' => 3.5])->assertCreated();
    $this->actingAs($teacher)->postJson($address, ['text' => 'It was not. Lean on it.'])->assertCreated();
    $this->postJson($address, ['text' => ' '])->assertStatus(422);
    $this->getJson($address)->assertOk()->assertJsonPath('0.by', 'Student')->assertJsonPath('1.text', 'It was not. Lean on it.');
    $this->actingAs($classmate)->getJson($address)->assertNotFound();
    $this->postJson($address, ['text' => 'Hm.'])->assertNotFound();
});

it('gives grips that the student’s hand can take, says which, and the teacher’s own where the teacher says so', function (): void {
    [$teacher, $student] = [$this->teacher(), $this->student()];
    $teacher->students()->attach($student);
    $breakdown = $this->shelved($teacher, ['sections' => [['name' => 'A', 'line' => '| F | B♭ | C | Fm |']], 'company' => 'alone']);
    $pins = fn (): array => $this->actingAs($student)->getJson("/api/breakdowns/{$breakdown->id}")->assertOk()->json('document.lines.0.pins');
    $id = $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]])
        ->assertCreated()->assertJsonPath('0.eased', [])->json('0.id');
    expect($pins())->toBe([]);
    $this->actingAs($teacher)->putJson("/api/students/{$student->id}/hand", ['hand' => 'small,no-barre'])->assertOk();
    $work = $this->getJson("/api/assignments?student={$student->id}")->assertOk();
    expect($work->json('0.eased'))->not->toBe([])->and($work->json('0.eased.0.why'))->not->toBe('')
        ->and($pins())->not->toBe([]);
    // The teacher's own breakdown is what it was.
    $this->actingAs($teacher)->getJson("/api/breakdowns/{$breakdown->id}")->assertJsonPath('document.lines.0.pins', []);
    $this->putJson("/api/assignments/{$id}", ['eases' => false])->assertOk()->assertJsonPath('eased', [])->assertJsonPath('eases', false);
    expect($pins())->toBe([]);
    $this->actingAs($student)->putJson("/api/assignments/{$id}", ['eases' => true])->assertNotFound();
});
