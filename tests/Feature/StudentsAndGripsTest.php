<?php

declare(strict_types=1);

use App\Models\Breakdown;
use Gravik\Tests\Support\Examples;

it('keeps what a student\'s hand can do, for the student and their own teacher alone', function (): void {
    [$teacher, $other, $student] = [$this->teacher(), $this->teacher('Other'), $this->student()];
    $id = $this->actingAs($teacher)->postJson(
        '/api/breakdowns',
        ['document' => Examples::document(), 'sitting' => 'a'],
    )->assertCreated()->json('id');
    Breakdown::query()->findOrFail($id)->students()->attach($student->id);
    $teacher->students()->attach($student);

    $this->putJson(
        "/api/students/{$student->id}/hand",
        ['hand' => 'small, no-barre'],
    )->assertOk()->assertJsonPath('hand', 'small,no-barre');
    $this->getJson('/api/students')->assertOk()->assertJsonPath('0.hand', 'small,no-barre');
    $this->putJson("/api/students/{$student->id}/hand", ['hand' => 'three'])->assertStatus(422);

    $this->actingAs($other)->putJson("/api/students/{$student->id}/hand", ['hand' => 'large'])->assertNotFound();
    $this->getJson('/api/students')->assertOk()->assertExactJson([]);
    $this->actingAs($student)->getJson('/api/students')->assertOk()->assertExactJson([]);
    // Their own hand students know best.
    $this->putJson("/api/students/{$student->id}/hand", ['hand' => 'large'])->assertOk();
    $this->putJson("/api/students/{$other->id}/hand", ['hand' => 'large'])->assertNotFound();
});

it('keeps grips under a teacher\'s own names and shows them on any root', function (): void {
    $teacher = $this->teacher();
    $this->actingAs($teacher)->postJson('/api/grips', ['name' => 'the lighthouse', 'symbol' => 'C9', 'frets' => 'x 3 2 3 3 x'])->assertOk();
    $grip = $this->getJson('/api/grips?symbol=E♭9')->assertOk()->assertJsonCount(1)->assertJsonPath(
        '0.here.frets',
        [null, 6, 5, 6, 6, null],
    )->json()[0];
    $this->getJson('/api/grips?symbol=Em')->assertOk()->assertJsonPath('0.here', null);

    $this->postJson('/api/grips', ['name' => 'the lighthouse', 'symbol' => 'C9', 'frets' => 'x 3 2 3 3 3'])->assertOk();
    $this->getJson('/api/grips')->assertOk()->assertJsonCount(1)->assertJsonPath('0.frets', [null, 3, 2, 3, 3, 3]);

    $this->actingAs($this->teacher('Other'))->getJson('/api/grips')->assertOk()->assertExactJson([]);
    $this->deleteJson("/api/grips/{$grip['id']}")->assertNotFound();
    $this->actingAs($teacher)->deleteJson("/api/grips/{$grip['id']}")->assertNoContent();
    $this->getJson('/api/grips')->assertExactJson([]);
});

it('refuses grips that are none, and keeps nothing of them', function (array $body): void {
    $this->actingAs($this->teacher())->postJson('/api/grips', $body)->assertStatus(422);
    $this->getJson('/api/grips')->assertExactJson([]);
})->with([
    'no name' => [['name' => '', 'symbol' => 'C', 'frets' => 'x 3 2 0 1 0']],
    'no chord' => [['name' => 'a', 'symbol' => 'H', 'frets' => 'x 3 2 0 1 0']],
    'five strings' => [['name' => 'a', 'symbol' => 'C', 'frets' => 'x 3 2 0 1']],
    'no hand' => [['name' => 'a', 'symbol' => 'C', 'frets' => '1 2 3 4 5 6']],
]);
