<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;

beforeEach(function (): void {
    $this->actingAs($this->teacher());
});

it('hears a recording, measures its feel, and offers what the breakdown could take over', function (): void {
    $played = Examples::breakdown(['tempo' => 108, 'feel' => ['mode' => 'fixed', 'ratio' => 2, 'unit' => 'eighth']], 'x.xcx.xx');
    $timeline = (new Performer())->perform($played);
    $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 4, 0, 5))->play($timeline, 10)))->wav(16000);
    $heard = $this->call(
        'POST',
        '/api/hearings',
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'],
        $wav,
    )->assertCreated()->json('heard');
    $document = Examples::document(['tempo' => 90], 'xxxxxxxx');
    $reading = $this->postJson('/api/compute/listen', ['document' => $document, 'strokes' => $heard['strokes']])->assertOk()->json();
    $offers = array_column($reading['offers'], null, 'what');

    expect(count($heard['outline']))->toEqualWithDelta(100 * $heard['seconds'], 2)
        ->and($heard['tuning']['near'][0]['slug'])->toBe('standard')
        ->and($reading['tempo_bpm'])->toEqualWithDelta(108, 0.5)
        ->and($reading['swing']['ratio'])->toEqualWithDelta(2, 0.15)
        ->and($offers['Tempo']['change'][0]['becomes'])->toBe([...$offers['Tempo']['change'][0]['was'], 'tempo' => 108])
        ->and($offers['Tempo']['has'])->toBe('90 bpm')
        ->and($offers['Feel']['change'][0]['becomes']['feel']['ratio'])->toEqualWithDelta(2, 0.15)
        ->and(array_column(
            $offers['Strokes']['change'][0]['becomes']['streams'][0]['strokes'],
            'at',
        ))->toBe([0, 960, 1440, 1920, 2880, 3360]);
    $this->postJson(
        '/api/compute/timeline',
        ['document' => $this->patched($document, [...$offers['Feel']['change'], ...$offers['Strokes']['change']])],
    )->assertOk();
});

it('refuses a recording of more minutes than are heard, and says how many are', function (): void {
    $bytes = 11 * 60 * 8000 * 2;
    $wav = 'RIFF'.pack('V', 36 + $bytes).'WAVEfmt '.pack(
        'VvvVVvv',
        16,
        1,
        1,
        8000,
        16000,
        2,
        16,
    ).'data'.pack('V', $bytes).str_repeat("\0", $bytes);
    $this->call('POST', '/api/hearings', [], [], [], ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'], $wav)
        ->assertUnprocessable()->assertJsonFragment(['message' => 'This recording is 11.0 minutes long; up to 10 minutes are heard. Cut out the part you mean and send that.']);
});

it('takes beats tapped along as tempo and first beat, and hits as the strokes over them', function (): void {
    $beats = array_map(
        static fn (int $beat): float => 1.2 + 0.55 * $beat + ($beat % 3 - 1) * 0.006,
        [0, 1, 2, 3, 4, 5, 7, 8, 9, 10, 11, 12, 13, 14, 15],
    );
    $hits = array_map(static fn (int $beat): array => ['t' => 1.2 + 0.55 * ($beat + 0.667), 'direction' => 'up'], range(0, 14));
    $reading = $this->postJson(
        '/api/compute/listen',
        ['document' => Examples::document(), 'strokes' => $hits, 'beats' => $beats, 'grid' => 2],
    )->assertOk()->json();
    $alone = $this->postJson(
        '/api/compute/listen',
        ['document' => Examples::document(), 'strokes' => [], 'beats' => $beats],
    )->assertOk()->json();

    expect($reading['tempo_bpm'])->toEqualWithDelta(60 / 0.55, 0.3)
        ->and($reading['swing']['p'])->toEqualWithDelta(0.667, 0.02)
        ->and($reading['slots'][0]['name'])->toBe('1&')
        ->and($alone['tempo_bpm'])->toEqualWithDelta(60 / 0.55, 0.3);
});

it('halves, doubles and moves the one as it is told', function (): void {
    $strokes = array_map(static fn (int $eighth): array => ['t' => 0.5 + 0.25 * $eighth], range(0, 40));
    $listen = fn (array $told): array => $this->postJson(
        '/api/compute/listen',
        ['document' => Examples::document(), 'strokes' => $strokes, ...$told],
    )->assertOk()->json();

    expect($listen(['tempo' => 120])['grid'])->toBe(2)
        ->and($listen(['tempo' => 240])['tempo_bpm'])->toEqualWithDelta(240, 0.1)
        ->and($listen(['tempo' => 60])['grid'])->toBe(4)
        ->and($listen(['tempo' => 120, 'first_beat' => 1.0])['strokes'][2])->toMatchArray(['bar' => 0, 'slot' => 0]);
});

it('says what is wrong with what it is given', function (string $type, string $body, string $says): void {
    $this->call('POST', '/api/hearings', [], [], [], ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'], $body)
        ->assertUnprocessable()->assertJsonFragment(['message' => $says]);
})->with([
    'a text' => ['audio/wav', 'hello', 'This is no WAV file: it begins with "hello". Choose a recording saved as WAV.'],
    'MIDI cut short' => ['audio/midi', 'MThd', 'This MIDI file is cut short in its track 1. Copy or export it again.'],
]);

it('plans a ladder and says where the player stands on it', function (): void {
    $asked = ['start' => 72, 'goal' => 132, 'minutes' => 9, 'bars' => 4, 'mode' => 'gated', 'meter' => '4/4'];
    $ladder = $this->postJson('/api/compute/ladder', [...$asked, 'clean' => [true, true, true, false]])->assertOk()->json();

    expect($ladder['at'])->toBe(1)
        ->and($ladder['steps'][0])->toBe(['bpm' => 72, 'bars' => 4, 'cycles' => 3, 'seconds' => 40, 'pulse_beats' => 1])
        ->and($ladder['fits'])->toBeTrue();
    $this->postJson(
        '/api/compute/ladder',
        [...$asked, 'clean' => [true], 'minutes' => 40, 'played' => 1500, 'rested' => 0, 'rest_after' => 20],
    )->assertOk()->assertJsonFragment(['pause' => 'rest']);
    $this->postJson(
        '/api/compute/ladder',
        [...$asked, 'played' => 60, 'rest_after' => 2],
    )->assertUnprocessable()->assertJsonFragment(['message' => 'A rest comes after 5 to 60 minutes of playing.']);
    $this->postJson(
        '/api/compute/ladder',
        [...$asked, 'goal' => 60],
    )->assertUnprocessable()->assertJsonFragment(['message' => 'A ladder goes up: its goal, 60, lies below its start, 72.']);
    $this->postJson('/api/compute/ladder', [...$asked, 'mode' => 'rocket'])->assertUnprocessable();
});

it('plays a simulated student with the band, early as it was told, and reports on them', function (): void {
    $document = Examples::document(['feel' => ['mode' => 'fixed', 'ratio' => 2, 'unit' => 'eighth']]);
    $plain = $this->postJson('/api/compute/timeline', ['document' => $document])->assertOk()->json();
    $early = $this->postJson('/api/compute/simulate', ['document' => $document, 'bars' => 8, 'bias_ms' => -20])->assertOk()->json();
    $guitar = static fn (array $timeline): array => array_values(array_filter(
        $timeline['events'],
        static fn (array $event): bool => $event['part'] === 'guitar' && $event['t'] > 0.4,
    ));
    $band = static fn (array $timeline): array => array_values(array_filter(
        $timeline['events'],
        static fn (array $event): bool => $event['part'] !== 'guitar',
    ));

    expect($early['report']['bias_ms'])->toEqualWithDelta(-20, 0.5)
        ->and($band($early['timeline']))->toBe($band($plain))
        ->and($guitar($early['timeline'])[0]['t'])->toEqualWithDelta($guitar($plain)[0]['t'] - 0.02, 0.001)
        ->and($plain['bars'][0]['off_beats'][1])->toEqualWithDelta(0.5 + 0.5 * 2 / 3, 1e-5);
    $this->postJson(
        '/api/compute/simulate',
        ['document' => $document, 'bars' => 8, 'bias_ms' => 900],
    )->assertUnprocessable()->assertJsonFragment(['message' => 'That is more than a player would be off by.']);
});

it('drafts a breakdown from what it heard, marked where it is unsure, in the key and company it is told', function (): void {
    $line = [['name' => 'A', 'line' => '| C | Am | F | G |']];
    $played = Examples::breakdown(['tempo' => 108, 'key' => 'C major', 'sections' => $line], 'x.xcx.xx');
    $timeline = (new Performer())->perform($played);
    $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 4, 0, 5))->play($timeline, 8)))->wav(16000);
    $heard = $this->call('POST', '/api/hearings', [], [], [], ['CONTENT_TYPE' => 'audio/wav', 'HTTP_ACCEPT' => 'application/json'], $wav)
        ->assertCreated()->json('heard');
    $asked = ['document' => Examples::document(['tempo' => 90], 'xxxxxxxx'), 'strokes' => $heard['strokes'], 'notes' => $heard['notes']];
    $sketch = $this->postJson('/api/compute/sketch', $asked + ['company' => 'alone'])->assertOk()->json();

    // A seventh more or less is colour; root and third are asked.
    expect(implode(' ', array_column(array_slice($sketch['chords'], 0, 4), 'symbol')))->toMatch('/^C Am7? F G7?$/')
        ->and($sketch['chords'][0]['frets'])->toHaveCount(6)
        ->and($sketch['document']['start']['tempo'])->toEqualWithDelta(108, 1)
        ->and($sketch['document']['sections'][0]['line'])->toMatch('/^\| C \| Am7? \| F \| G7? \|$/')
        ->and($sketch['document']['form'])->toEqual([['section' => 's1', 'times' => 2]])
        ->and(array_column($sketch['document']['patterns'][0]['streams'][0]['strokes'], 'at'))->toBe([0, 960, 1440, 1920, 2880, 3360])
        ->and($sketch['chords_alone']['document']['start']['tempo'])->toBe(90)
        ->and($sketch['chords_alone']['document']['sections'])->toEqual($sketch['document']['sections']);
    $this->postJson('/api/compute/timeline', ['document' => $sketch['document']])->assertOk();
    $told = $this->postJson('/api/compute/sketch', $asked + ['company' => 'with-bass', 'key' => 'A minor'])->assertOk()->json();
    expect($told['key'])->toBe('A minor')->and($told['key_given'])->toBeTrue();
    $this->postJson('/api/compute/sketch', ['notes' => '12<'] + $asked + ['company' => 'alone'])->assertUnprocessable()
        ->assertJsonPath('message', 'What was heard of the notes has been damaged on the way. Open the recording again.');
    $this->postJson('/api/compute/sketch', $asked + ['company' => 'alone', 'key' => 'H major'])->assertUnprocessable();
});

it('hears the syllables of a sung rhythm, and says when nobody sang', function (): void {
    $hear = fn (string $wav) => $this->call('POST', '/api/compute/sung', [], [], [], [
        'CONTENT_TYPE' => 'audio/wav',
        'HTTP_ACCEPT' => 'application/json',
    ], $wav);
    $samples = [];
    for ($i = 0; $i < 16000; $i++) {
        $in = fmod($i / 16000, 0.5) - 0.2;
        $voice = sin(2 * M_PI * 180 * $i / 16000) + 0.4 * sin(2 * M_PI * 900 * $i / 16000);
        $samples[] = $in < 0 ? 0.0 : 0.4 * min(1.0, $in / 0.02) * exp(-6 * $in) * $voice;
    }
    $heard = $hear(WavFile::write([$samples], count($samples), 16000))->assertOk()->json('syllables');

    expect($heard)->toHaveCount(2)->and($heard[0])->toEqualWithDelta(0.21, 0.02)->and($heard[1])->toEqualWithDelta(0.71, 0.02);
    $hear(WavFile::write([array_fill(0, 8000, 0.0)], 8000, 16000))->assertUnprocessable();
});

it('writes a hummed melody down as it is typed, and asks for the beat it was hummed over', function (): void {
    $hear = fn (string $wav, string $over) => $this->call('POST', "/api/compute/hummed?{$over}", [], [], [], [
        'CONTENT_TYPE' => 'audio/wav',
        'HTTP_ACCEPT' => 'application/json',
    ], $wav);
    $samples = [];
    foreach ([62, 65, 69] as $midi) {
        for ($i = 0; $i < 8000; $i++) {
            $samples[] = 0.3 * min(1.0, $i / 400, (8000 - $i) / 800) * sin(2 * M_PI * 440 * 2 ** (($midi - 69) / 12) * $i / 16000);
        }
    }
    $wav = WavFile::write([$samples], count($samples), 16000);

    $hear($wav, 'first_beat=0&tempo=120&meter=2/4&key=D minor')->assertOk()->assertJsonPath('melody', 'D4 F4 | A4');
    $hear($wav, 'first_beat=0&meter=2/4&key=D minor')->assertUnprocessable();
    $hear(WavFile::write([array_fill(0, 8000, 0.0)], 8000, 16000), 'first_beat=0&tempo=120&meter=2/4&key=D minor')->assertUnprocessable();
});
