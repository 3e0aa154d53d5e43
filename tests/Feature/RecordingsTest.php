<?php

declare(strict_types=1);

use App\Models\Take;
use Gravik\Formats\WavFile;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
use Illuminate\Testing\TestResponse;

/** A take of the simulated player as a WAV file. */
function soundOf(float $biasMs): string
{
    $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo(120));

    return (new SimulatedTake($timeline, (new SimulatedPlayer($biasMs, 0, 3, 0, 5))->play($timeline, 4)))->wav(16000);
}

it('hears a recording, judges and keeps it without its sound, and says what is wrong with one it cannot hear', function (): void {
    $teacher = $this->teacher();
    $breakdown = $this->shelved($teacher);
    $this->actingAs($teacher);
    $sent = fn (string $sound, string $more = ''): TestResponse => $this->call(
        'POST',
        "/api/breakdowns/{$breakdown->id}/recordings?id={$this->newId()}&tempo=120&bars=4{$more}",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $sound,
    );
    $report = $sent(soundOf(25), '&first_beat='.SimulatedTake::LEAD)->assertCreated()->json('take.report');
    $found = $sent(soundOf(25))->assertCreated()->json('take.report');

    expect($report['missed'])->toBe(0)->and($report['bias_ms'])->toEqualWithDelta(25, 2)->and($report['latency_ms'])->toBeNull()
        ->and(array_filter(array_column($report['slots'], 'muted_ok'), static fn (float $ok): bool => $ok < 0.75))->toBe([])
        ->and($found['missed'])->toBe(0)->and($found['bias_ms'])->toEqualWithDelta(0, 3)
        ->and(Take::query()->first()?->strokes[0])->toHaveKeys(['t', 'level_db', 'muted']);
    foreach ([
        'Dear diary' => 'no WAV file',
        '' => 'holds no sound',
        WavFile::write([array_fill(0, 8000, 0.0)], 8000, 8000) => 'is silent',
    ] as $sound => $says) {
        $sent((string) $sound)->assertStatus(422)->assertJsonPath('message', static fn (string $said): bool => str_contains($said, $says));
    }
    $sent(soundOf(0), '&bars=199')->assertStatus(422);
    expect(Take::query()->count())->toBe(2);
    $this->actingAs($this->student('Somebody else'));
    $sent(soundOf(0))->assertNotFound();
});

it('measures the microphone by its own clicks, remembers what it was before, and keeps it apart from the keys', function (): void {
    $clicks = static function (float $lateMs): string {
        $samples = array_fill(0, 16 * 4800 + 16000, 0.0);
        foreach (range(0, 15) as $click) {
            $at = (int) round((0.5 + 0.3 * $click + $lateMs / 1000) * 16000);
            for ($i = 0; $i < 400; $i++) {
                $samples[$at + $i] += 0.6 * sin(2 * M_PI * 1800 * $i / 16000) * exp(-$i / 90);
            }
        }

        return Gravik\Formats\WavFile::write([$samples], count($samples), 16000);
    };
    $put = fn (string $wav) => $this->actingAs($this->teacher())->call(
        'PUT',
        '/api/calibrations/mic/recording?first=0.5&every=0.3&count=16',
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $wav,
    );

    $first = $put($clicks(62.0))->assertOk()->json();
    expect($first['latency_ms'])->toEqualWithDelta(62, 2)->and($first['was_ms'])->toBeNull();
    $this->getJson('/api/calibrations/keys')->assertJsonPath('calibration', null);
});

it('says that the clicks were not heard, and keeps nothing', function (): void {
    $quiet = Gravik\Formats\WavFile::write([array_fill(0, 16000, 0.0)], 16000, 8000);
    $this->actingAs($this->teacher())->call(
        'PUT',
        '/api/calibrations/mic/recording?first=0&every=0.6&count=16',
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $quiet,
    )->assertUnprocessable();
    $this->getJson('/api/calibrations/mic')->assertJsonPath('calibration', null);
});

it('takes a MIDI file as a take, and says what is wrong with one that is cut short', function (): void {
    $breakdown = Examples::breakdown([], 'x.xcx.xx');
    $id = $this->newId();
    $this->actingAs($this->teacher())->postJson(
        '/api/breakdowns',
        ['id' => $id, 'document' => Examples::document([], 'x.xcx.xx'), 'sitting' => 'one'],
    )->assertCreated();
    $midi = (new Gravik\Formats\MidiFile())->write($breakdown, (new Gravik\Performance\Performer())->perform($breakdown));
    $send = fn (string $bytes) => $this->call(
        'POST',
        "/api/breakdowns/{$id}/recordings?id={$this->newId()}&tempo=120&bars=2",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/midi', 'HTTP_ACCEPT' => 'application/json'],
        $bytes,
    );

    expect($send($midi)->assertCreated()->json('take.report'))->toMatchArray(['missed' => 0, 'extra' => 0, 'matched' => 12])
        ->and($send(substr($midi, 0, 200))->assertUnprocessable()->json('message'))->toContain('cut short')
        ->and(App\Models\Take::query()->count())->toBe(1);
});

it('hears what is sung by one person once at a time, and none of a stranger\'s', function (): void {
    $unread = fopen('php://temp', 'w+b');
    fwrite($unread, str_repeat('x', 4096));
    rewind($unread);
    $request = fn ($body) => $this->call(
        'POST',
        '/api/compute/sung',
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );
    expect($request($unread)->status())->toBe(401)->and(ftell($unread))->toBe(0);

    $teacher = $this->teacher();
    $this->actingAs($teacher);
    $lock = Illuminate\Support\Facades\Cache::lock("hearing:{$teacher->id}", 60);
    $lock->get();
    expect($request('RIFF')->assertStatus(429)->json('message'))->toContain('still being heard');
    $lock->release();
    $request('RIFF')->assertStatus(422);
    $request(str_repeat('x', 5_000_000))->assertStatus(413);
});

it('keeps the sound of a take only where its player agrees, shows it to the teacher, and deletes it when they do not any more', function (): void {
    Illuminate\Support\Facades\Storage::fake('local');
    [$teacher, $student, $breakdown] = $this->lesson();
    $breakdown->students()->attach($student);
    $send = fn (string $more): string => $this->actingAs($student)->call(
        'POST',
        "/api/breakdowns/{$breakdown->id}/recordings?id={$this->newId()}&tempo=120&bars=4{$more}",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        soundOf(0),
    )->assertCreated()->json('take.id');
    $sound = static fn (string $take): string => "/api/breakdowns/{$breakdown->id}/takes/{$take}/sound";
    [$silent, $once] = [$send(''), $send('&keep_sound=1&first_beat='.SimulatedTake::LEAD)];
    $this->getJson($sound($silent))->assertNotFound();
    $this->putJson('/api/account/sounds', ['keep' => true])->assertOk()->assertJsonPath('keeps_sound', true);
    [$kept, $found] = [$send(''), $send('&keep_sound=0')];
    $this->getJson($sound($found))->assertNotFound();

    $this->actingAs($teacher)->get($sound($once))->assertOk()->assertHeader('Content-Type', 'audio/wav');
    expect($this->getJson("/api/breakdowns/{$breakdown->id}/takes/{$once}")->json('sound_at'))->toEqual(SimulatedTake::LEAD)
        // Where nobody said when it begins, the ear found it.
        ->and($this->getJson("/api/breakdowns/{$breakdown->id}/takes/{$kept}")->json('sound_at'))->toEqualWithDelta(SimulatedTake::LEAD, 0.005);
    $this->deleteJson($sound($once))->assertNotFound();
    $this->actingAs($student)->deleteJson($sound($once))->assertNoContent();
    $this->getJson($sound($once))->assertNotFound();
    $this->putJson('/api/account/sounds', ['keep' => false])->assertOk();
    $this->actingAs($teacher)->get($sound($kept))->assertNotFound();
    expect(Illuminate\Support\Facades\Storage::disk('local')->allFiles())->toBe([]);
});

it('leaves a recording in its turn, says how far it is to its sender alone, and judges it once', function (): void {
    [$teacher, $student, $breakdown] = $this->lesson();
    $breakdown->students()->attach($student);
    config(['queue.default' => 'database']);
    $id = $this->newId();
    $send = fn (): TestResponse => $this->call(
        'POST',
        "/api/breakdowns/{$breakdown->id}/recordings?id={$id}&tempo=120&bars=4",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        soundOf(0),
    );
    $this->actingAs($student);
    $send()->assertStatus(202)->assertJsonPath('state', 'waits')->assertJsonPath('take', null);
    $send()->assertStatus(202);
    $this->actingAs($teacher)->getJson("/api/hearings/{$id}")->assertNotFound();
    expect(Illuminate\Support\Facades\DB::table('jobs')->count())->toBe(1);
    $this->artisan('queue:work', ['--stop-when-empty' => true, '--memory' => 2000])->assertSuccessful();

    $this->actingAs($student)->getJson("/api/hearings/{$id}")->assertOk()->assertJsonPath('state', 'done')->assertJsonPath('take.report.missed', 0);
    $send()->assertCreated()->assertJsonPath('take.id', $id);
    expect(Take::query()->count())->toBe(1);
});

it('does not judge what was taken back while the recording waited', function (): void {
    [, $student, $breakdown] = $this->lesson();
    $breakdown->students()->attach($student);
    config(['queue.default' => 'database']);
    $id = $this->newId();
    $this->actingAs($student)->call(
        'POST',
        "/api/breakdowns/{$breakdown->id}/recordings?id={$id}&tempo=120&bars=4",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        soundOf(0),
    )->assertStatus(202);
    $breakdown->students()->detach($student);
    $this->artisan('queue:work', ['--stop-when-empty' => true, '--memory' => 2000])->assertSuccessful();

    $this->getJson("/api/hearings/{$id}")->assertOk()->assertJsonPath('state', 'refused')
        ->assertJsonPath('message', static fn (string $said): bool => str_contains($said, 'taken it back'));
    expect(Take::query()->count())->toBe(0);
});
