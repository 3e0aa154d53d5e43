<?php

declare(strict_types=1);

use App\Models\KeptUpkeep;
use App\Models\Take;
use Illuminate\Support\Carbon;

afterEach(fn () => Carbon::setTestNow());

it('lays out all that is needed to practise a stage without a connection', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $this->actingAs($teacher)->postJson('/api/assignments', [
        'breakdown' => $breakdown->id, 'students' => [$student->id], 'stages' => ['slow-and-even'],
    ])->assertCreated();
    $address = "/api/breakdowns/{$breakdown->id}/practice";
    $sheet = $this->actingAs($student)->getJson("{$address}?stage=slow-and-even")->assertOk();
    $tempos = $sheet->json('tempos');

    expect($sheet->json('tempo'))->toEqual($tempos[0])->and($sheet->json('timeline.tempo'))->toEqual($tempos[0])
        ->and(count($tempos))->toBeGreaterThan(1)
        ->and($sheet->json('timeline.strokes'))->not->toBe([])->and($sheet->json('grips.0.symbol'))->toBe('Dm')
        ->and($sheet->json('say'))->not->toBe('')
        ->and($this->getJson("{$address}?stage=slow-and-even&tempo={$tempos[1]}")->json('timeline.tempo'))->toEqual($tempos[1])
        ->and($this->getJson($address)->assertOk()->json('stage_name'))->toBe('the whole song');
    $this->getJson("{$address}?stage=juggling")->assertStatus(422);
    $this->getJson("{$address}?tempo=5")->assertStatus(422);
});

it('counts a take that waited for a connection from when it was played, whatever the device’s clock says', function (): void {
    [, $student, $breakdown] = $this->lesson();
    $breakdown->students()->attach($student);
    $kept = KeptUpkeep::query()->create(['student_id' => $student->id, 'breakdown_id' => $breakdown->id, 'stage' => '', 'days' => 4,
        'due_on' => '2026-10-10', 'created_at' => '2026-10-06']);
    Carbon::setTestNow('2026-10-14 09:00');
    $take = $this->playedTake(0) + ['waited' => 3 * 24 * 3600];
    $this->actingAs($student)->postJson("/api/breakdowns/{$breakdown->id}/takes", $take)->assertCreated();
    // Sent again, since the answer was lost: it is the same one.
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", $take)->assertCreated();

    expect(Take::query()->sole()->created_at->toDateTimeString())->toBe('2026-10-11 09:00:00')
        ->and($kept->refresh()->due_on->toDateString())->toBe('2026-10-19');
    $this->postJson("/api/breakdowns/{$breakdown->id}/takes", $this->playedTake(0) + ['waited' => -86400])->assertStatus(422);
});
