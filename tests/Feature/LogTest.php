<?php

declare(strict_types=1);

use App\Models\Take;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

afterEach(fn () => Carbon::setTestNow());

/** @param array<string, float> $days day => bias of a take of four clicks at 120 */
function practised(Tests\TestCase $case, string $breakdown, array $days): void
{
    foreach ($days as $day => $bias) {
        Carbon::setTestNow("{$day} 18:00");
        $case->postJson("/api/breakdowns/{$breakdown}/takes", $case->playedTake($bias))->assertCreated();
    }
}

it('tells what was reached, when it was checked and where it sticks', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    Carbon::setTestNow('2026-09-30');
    $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]])->assertCreated();
    $this->actingAs($student);
    practised($this, $breakdown->id, ['2026-10-01' => 45, '2026-10-02' => 0, '2026-10-05' => 2, '2026-10-11' => 45]);
    $take = Take::query()->latest()->firstOrFail();
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes/{$take->id}/remarks", ['text' => 'Tired arm.'])->assertCreated();
    $log = $this->getJson("/api/breakdowns/{$breakdown->id}/log")->assertOk();

    expect($log->json('player.name'))->toBe($student->name)
        ->and(array_column($log->json('takes'), 'passed'))->toBe([false, true, true, false])
        ->and(array_column($log->json('takes'), 'clean'))->toEqual([null, 120, 120, 120])
        ->and($log->json('stages.0'))->toMatchArray(['stage' => '', 'passed_on' => '2026-10-02', 'now' => 120])
        // Passed on the 2nd, held on the 5th (due on the 4th, then four days on), failed two days late: in two days again.
        ->and($log->json('upkeep.0.checks'))->toBe([
            ['on' => '2026-10-05', 'days' => 2, 'passed' => true], ['on' => '2026-10-11', 'days' => 4, 'passed' => false],
        ])
        ->and($log->json('upkeep.0'))->toMatchArray(['begun' => '2026-10-02', 'due_on' => '2026-10-13', 'days' => 2])
        ->and(array_column($log->json('days'), 'minutes'))->toEqual([0.3, 0.3, 0.3, 0.3])
        ->and($log->json('slots.0.takes'))->toHaveCount(4)
        ->and($log->json('remarks.0.text'))->toBe('Tired arm.');
});

it('is shown to the student and the breakdown’s teacher alone', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$student->id]])->assertCreated();
    $this->actingAs($student);
    practised($this, $breakdown->id, ['2026-10-01' => 0]);
    $mate = $this->student('Mate');
    $teacher->students()->attach($mate);
    $this->actingAs($teacher)->postJson('/api/assignments', ['breakdown' => $breakdown->id, 'students' => [$mate->id]])->assertCreated();

    $this->getJson("/api/breakdowns/{$breakdown->id}/log")->assertOk()->assertJsonPath('player.id', $student->id);
    $this->getJson("/api/breakdowns/{$breakdown->id}/log?player={$mate->id}")->assertNotFound();
    $this->getJson("/api/breakdowns/{$breakdown->id}/log?player=somebody")->assertStatus(422);
    $this->actingAs($mate)->getJson("/api/breakdowns/{$breakdown->id}/log?player={$student->id}")->assertNotFound();
    $this->getJson("/api/breakdowns/{$breakdown->id}/log")->assertOk()->assertJsonPath('takes', [])->assertJsonCount(1, 'players');
    $this->actingAs($this->teacher('Other'))->getJson("/api/breakdowns/{$breakdown->id}/log")->assertNotFound();
});

it('asks the database no more often for many takes than for one', function (): void {
    [, $student, $breakdown] = $this->lesson();
    $breakdown->students()->attach($student);
    $asked = function () use ($breakdown): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson("/api/breakdowns/{$breakdown->id}/log")->assertOk();

        return count(DB::getQueryLog());
    };
    $this->actingAs($student);
    practised($this, $breakdown->id, ['2026-10-01' => 0]);
    $one = $asked();
    practised($this, $breakdown->id, array_fill_keys(array_map(static fn (int $day): string => "2026-10-{$day}", range(10, 22)), 30));

    expect($asked())->toBe($one);
});
