<?php

declare(strict_types=1);

use App\Documents\BreakdownStore;
use App\Documents\ExportFormat;
use App\Models\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Tests\Support\Examples;
use Symfony\Component\Process\Process;

/** Runs a command as a shell does: [exit status, standard output, standard error]. */
function artisan(string ...$words): array
{
    $process = new Process([PHP_BINARY, 'artisan', ...$words], base_path(), ['DB_DATABASE' => ':memory:']);
    $process->setTimeout(300)->run();

    return [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
}

/** @param array<string, mixed> $fields */
function breakdownFile(array $fields = [], string $slots = 'x.xcx.xx'): string
{
    $file = tempnam(sys_get_temp_dir(), 'gravik').'.gravik.json';
    file_put_contents($file, (new BreakdownJson())->print(Examples::breakdown($fields, $slots)));

    return $file;
}

it('answers in JSON with the fields that are promised', function (array $words, array $fields): void {
    [$status, $out, $error] = artisan(...[
        ...array_map(static fn (string $word): string => $word === 'FILE' ? breakdownFile() : $word, $words),
        '--json',
    ]);
    $answer = json_decode($out, true);

    expect([$status, $error])->toBe([0, ''])->and(array_keys($answer))->toBe($fields);
})->with([
    'voicings' => [['gravik:voicings', 'C9', '--role=with-bass', '--limit=2'], ['symbol', 'count', 'voicings']],
    'name' => [['gravik:name', 'x 7 8 7 8 x', '--key=F'], ['names']],
    'path' => [['gravik:path', 'Cm6 | A♭7 | Fm7 B♭9', '--key=Cm', '--role=with-bass'], ['cost', 'candidates', 'voicings', 'moves']],
    'strokes' => [
        ['gravik:strokes', '--slots=x.xx.xxx', '--meter=4/4', '--grid=2', '--tempo=120', '--swing=2'],
        ['strokes', 'air', 'warnings', 'density', 'syncopation', 'strokes_a_second'],
    ],
    'timeline' => [['gravik:timeline', 'FILE'], ['tempo', 'events']],
    'ladder' => [['gravik:ladder', '--start=72', '--goal=132', '--minutes=9'], ['steps', 'added', 'minutes', 'fits', 'goal']],
    'ladder by ramp' => [
        ['gravik:ladder', '--start=90', '--goal=120', '--minutes=4', '--mode=ramp', '--bars=2', '--meter=3/4'],
        ['steps', 'added', 'minutes', 'fits', 'goal'],
    ],
]);

it('writes a voicing with its frets, fingers, degrees and what surrounds them', function (): void {
    $voicing = json_decode(artisan('gravik:voicings', 'F', '--frets=0-4', '--strings=6-1', '--json')[1], true)['voicings'][0];

    expect(array_keys($voicing))->toContain(
        'frets',
        'fingers',
        'barres',
        'degrees',
        'notes',
        'span_mm',
        'difficulty',
        'family',
        'position',
        'slash',
    )
        ->and($voicing['frets'])->toHaveCount(6);
});

it('leads a line within the frets and strings that are asked for', function (): void {
    $path = json_decode(artisan('gravik:path', 'C9 | F9 | C9', '--role=with-bass', '--window=5-9', '--strings=4-1', '--json')[1], true);
    foreach ($path['voicings'] as $voicing) {
        expect(array_slice($voicing['frets'], 0, 2))->toBe([null, null])
            ->and(array_filter($voicing['frets'], static fn (?int $fret): bool => $fret !== null))->each->toBeBetween(5, 9);
    }
    $kept = json_decode(artisan('gravik:path', 'C9 | F6 | C9', '--role=with-bass', '--keep-top', '--json')[1], true);

    expect($path['voicings'])->toHaveCount(3)->and(array_column($kept['moves'], 'top'))->toBe([0, 0]);
});

it('gives swung times in beats and seconds', function (): void {
    $strokes = json_decode(artisan('gravik:strokes', '--slots=x.xx.xxx', '--tempo=120', '--swing=2', '--json')[1], true)['strokes'];

    expect(array_column($strokes, 'direction'))->toBe(['down', 'down', 'up', 'up', 'down', 'up'])
        ->and($strokes[2]['at_beats'])->toEqualWithDelta(1 + 2 / 3, 1e-6)
        ->and($strokes[2]['at_s'])->toEqualWithDelta((1 + 2 / 3) / 2, 1e-6);
});

it('listens to taps, and says of few strokes that they are few', function (): void {
    $breakdown = (new BreakdownJson())->parse((string) file_get_contents(breakdownFile()));
    $take = tempnam(sys_get_temp_dir(), 'take');
    file_put_contents($take, json_encode((new SimulatedPlayer(18, 0, 2, 0, 3))->taps((new Performer())->perform($breakdown), 8)));
    [$status, $out] = artisan('gravik:listen', $take, '--tempo='.$breakdown->start->tempo->bpm, '--first-beat=0', '--json');
    $heard = json_decode($out, true);
    file_put_contents($take, '[0.5, 1, 1.5]');
    [, $few] = artisan('gravik:listen', $take, '--json');

    expect($status)->toBe(0)
        ->and($heard['bias_ms'])->toEqualWithDelta(18, 2)
        ->and($heard['tempo_bpm'])->toEqualWithDelta($breakdown->start->tempo->bpm, 0.1)
        ->and(array_keys($heard))->toContain(
            'grid',
            'swing_ratio',
            'swing_low',
            'swing_high',
            'spread_ms',
            'drift_bpm_per_min',
            'tuning_cents',
            'onsets',
            'strokes',
        )
        ->and(json_decode($few, true))->toMatchArray(['tempo_bpm' => null, 'onsets' => [0.5, 1.0, 1.5]]);
});

it('judges a take from a file', function (): void {
    $breakdown = Examples::breakdown();
    $take = tempnam(sys_get_temp_dir(), 'take');
    file_put_contents(
        $take,
        json_encode(['taps' => (new SimulatedPlayer(18, 0, 2, 0, 3))->taps((new Performer())->perform($breakdown), 8)]),
    );
    [$status, $out] = artisan('gravik:lock', $take, '--plan='.breakdownFile(), '--json');
    $report = json_decode($out, true);

    expect($status)->toBe(0)->and($report['bias_ms'])->toEqualWithDelta(18, 1.5)->and($report['missed'])->toBe(0)
        ->and(array_keys($report))->toContain(
            'planned',
            'played',
            'matched',
            'extra',
            'latency_ms',
            'spread_ms',
            'drift_bpm_per_min',
            'swing',
            'slots',
            'findings',
            'gate',
        );
});

it('exports and imports without a screen', function (): void {
    $file = breakdownFile(['title' => 'Carried Over']);
    $out = sys_get_temp_dir().'/gravik-test-'.bin2hex(random_bytes(4));
    expect(artisan('gravik:export', $file, '--format=midi', '-o', $out.'.mid')[0])->toBe(0)
        ->and((string) file_get_contents($out.'.mid', false, null, 0, 4))->toBe('MThd')
        ->and(artisan('gravik:export', $file, '--format=json', '-o', $out.'.json')[0])->toBe(0)
        ->and(file_get_contents($out.'.json'))->toBe(file_get_contents($file));

    $this->teacher();
    $this->artisan('gravik:import', ['file' => $file])->assertExitCode(0);
    expect(app(BreakdownStore::class)->document(Breakdown::query()->sole()))->toEqual(Examples::breakdown(['title' => 'Carried Over']));
});

it('writes the same bytes as the screen takes', function (ExportFormat $format): void {
    $document = Examples::document(['title' => 'Twin Lamps', 'tempo' => 97], 'x.xcx.xx');
    $teacher = $this->teacher();
    $kept = $this->shelved($teacher, $document);
    $file = tempnam(sys_get_temp_dir(), 'gravik').'.gravik.json';
    file_put_contents($file, json_encode($document));
    $out = $file.'.out';
    expect(artisan('gravik:export', $file, "--format={$format->value}", '-o', $out)[0])->toBe(0);

    $taken = $this->actingAs($teacher)->get("/api/breakdowns/{$kept->id}/export/{$format->value}")->assertOk()->getContent();
    expect(strlen((string) $taken))->toBeGreaterThan(100)->and(md5_file($out))->toBe(md5((string) $taken));
})->with(fn (): array => array_filter(ExportFormat::cases(), static fn (ExportFormat $each): bool => $each !== ExportFormat::Pdf));

it('puts a score on the shelf, and says what was not read', function (): void {
    $this->teacher();
    $file = tempnam(sys_get_temp_dir(), 'gravik').'.cho';
    file_put_contents($file, "{title: Salt Rope}\n[Dm7]Low the [Hokum]lamp");
    $this->artisan('gravik:import', ['file' => $file])->expectsOutputToContain('Hokum')->assertExitCode(0);
    expect(Breakdown::query()->sole()->title)->toBe('Salt Rope');
});

it('finds grips of a kind for a hand, and lists every one whatever the hand', function (): void {
    $guide = json_decode(artisan('gravik:voicings', 'C7', '--kind=guide-tones', '--hand=small,no-barre', '--json')[1], true);
    foreach ($guide['voicings'] as $voicing) {
        expect(array_values(array_filter($voicing['degrees'])))->each->toBeIn(['3', '♭7'])->and($voicing['barres'])->toBe([]);
    }
    $all = json_decode(artisan('gravik:voicings', 'C', '--all', '--json')[1], true);
    $small = json_decode(artisan('gravik:voicings', 'C', '--all', '--hand=small,no-barre,avoid-4', '--json')[1], true);

    expect($guide['count'])->toBeGreaterThan(10)->and([$all['count'], $small['count']])->toBe([150, 150]);
});

it('counts the way back where a line comes round', function (): void {
    $open = json_decode(artisan('gravik:path', 'C9 | F9 | G9', '--role=with-bass', '--json')[1], true);
    $round = json_decode(artisan('gravik:path', 'C9 | F9 | G9', '--role=with-bass', '--loop', '--json')[1], true);

    expect($round['cost'])->toBeGreaterThanOrEqual($open['cost']);
});

it('writes the form as sound, as long as it lasts', function (): void {
    $out = tempnam(sys_get_temp_dir(), 'gravik').'.wav';
    [$status, $said] = artisan('gravik:export', breakdownFile(['tempo' => 120]), '--format=wav', '-o', $out);
    $bytes = (string) file_get_contents($out);

    // Two bars of four at 120: four seconds, and one to die away.
    expect($status)->toBe(0)->and($said)->toContain('Not kept')->and(substr($bytes, 0, 4))->toBe('RIFF')
        ->and((strlen($bytes) - 44) / 2 / 44100)->toEqualWithDelta(5.0, 0.01);
});

it('lets the guitar out of the sound, and takes it at another tempo', function (): void {
    $teacher = $this->teacher();
    $kept = $this->shelved($teacher, Examples::document(['tempo' => 120], 'x.x.x.x.'));
    $samples = fn (string $asked): array => array_values((array) unpack('s*', substr((string) $this->actingAs($teacher)
        ->get("/api/breakdowns/{$kept->id}/export/wav?{$asked}")->assertOk()->getContent(), 44)));
    $mix = $samples('hear=all');
    $summed = array_map(static fn (int ...$each): int => array_sum($each), $samples('hear=guitar'), $samples('hear=without-guitar'));

    expect(max(array_map(static fn (int $a, int $b): int => abs($a - $b), $mix, $summed)))->toBeLessThan(40)
        ->and(max($samples('hear=guitar')))->toBeGreaterThan(1000)->and(max($samples('hear=without-guitar')))->toBeGreaterThan(1000)
        ->and(count($samples('hear=guitar&tempo=60')))->toEqualWithDelta(2 * count($mix) - 44100, 4);
    $this->getJson("/api/breakdowns/{$kept->id}/export/wav?hear=tuba")->assertUnprocessable();
});

it('stops with status 2 and one line that says what to do', function (array $words, string $message): void {
    $taps = tempnam(sys_get_temp_dir(), 'taps') ?: '';
    file_put_contents($taps, json_encode(range(0, 12)));
    [$status, $out, $error] = artisan(...array_map(
        static fn (string $word): string => str_replace(['FILE', 'TAPS'], [breakdownFile(), $taps], $word),
        $words,
    ));

    expect([$status, $out])->toBe([2, ''])
        ->and($error)->toContain($message)->not->toContain('Exception')
        ->and(substr_count(trim($error), "\n"))->toBe(0);
})->with([
    'an unreadable chord' => [['gravik:voicings', 'Ebv9'], 'Did you mean "E♭9"?'],
    'an unknown tuning' => [['gravik:voicings', 'C', '--tuning=banjo'], 'is no tuning we know'],
    'a hand that does not exist' => [['gravik:voicings', 'C', '--hand=huge'], 'is no hand'],
    'a kind that does not exist' => [['gravik:voicings', 'C', '--kind=fancy'], 'is no kind of grip'],
    'a chord that has no such grip' => [['gravik:voicings', 'C', '--kind=open-barre'], 'choose another kind'],
    'a school that does not exist' => [['gravik:strokes', '--slots=xxxxxxxx', '--school=sideways'], 'is no picking school'],
    'frets that are none' => [['gravik:voicings', 'C', '--frets=high'], 'such as 0-15'],
    'a role nobody has' => [['gravik:voicings', 'C', '--role=drummer'], 'solo, with-bass, shell'],
    'a capo in words' => [['gravik:voicings', 'C', '--capo=two'], '--capo needs a number'],
    'half a capo' => [['gravik:voicings', 'C', '--capo=1.5'], '--capo needs a whole number'],
    'a grip of five strings' => [['gravik:name', 'x 7 8 7 8'], 'one fret for each of the 6 strings'],
    'a grip of one note' => [['gravik:name', 'x x x x x 3'], 'at least two strings'],
    'an empty line' => [['gravik:path', '   '], 'no chords in this line yet'],
    'a bar that does not add up' => [['gravik:path', '| C D E F G |'], '5 places for the 4 beats'],
    'a window that is none' => [['gravik:path', 'C | F', '--window=9-5'], 'such as 0-15'],
    'a window in which nothing fits' => [['gravik:path', 'C13♯11', '--window=14-15', '--strings=2-1'], 'allow more strings or frets'],
    'a bass that cannot go by steps' => [['gravik:path', 'C5 | F♯5', '--bass=stepwise'], 'cannot go by steps'],
    'a way of the bass nobody knows' => [['gravik:path', 'C | F', '--bass=sideways'], 'stepwise'],
    'a key that is none' => [['gravik:path', 'C', '--key=H'], 'is no key'],
    'slots that do not fit' => [['gravik:strokes', '--slots=x.x'], 'do not fill whole bars'],
    'tempo 0' => [['gravik:strokes', '--slots=x.x.x.x.', '--tempo=0'], 'Choose 20 to 400'],
    'tempo 10,000' => [['gravik:timeline', 'FILE', '--tempo=10000'], 'Choose 20 to 400'],
    'a swing of 9' => [['gravik:strokes', '--slots=x.x.x.x.', '--swing=9'], 'outside what can be felt'],
    'an unknown school' => [['gravik:strokes', '--slots=x.x.x.x.', '--school=windmill'], 'is no picking school'],
    'nothing to plan' => [['gravik:strokes'], 'Give a breakdown file, or a pattern'],
    'a file that is not there' => [['gravik:timeline', 'nowhere.gravik.json'], 'There is no file'],
    'a file that is no breakdown' => [['gravik:timeline', 'composer.json'], 'is not a breakdown'],
    'a ladder without minutes' => [['gravik:ladder', '--start=72', '--goal=132'], 'needs --start and --goal'],
    'a ladder that goes down' => [['gravik:ladder', '--start=132', '--goal=72', '--minutes=9'], 'A ladder goes up'],
    'a ladder of another kind' => [
        ['gravik:ladder', '--start=72', '--goal=132', '--minutes=9', '--mode=rocket'],
        'choose gated, ramp or bursts',
    ],
    'a step nobody feels' => [['gravik:ladder', '--start=72', '--goal=132', '--minutes=9', '--step=1'], 'give 3 to 8'],
    'a recording that is not there' => [['gravik:listen', 'nowhere.wav'], 'There is no file'],
    'a recording that is none' => [['gravik:listen', 'composer.json'], 'This is no take'],
    'a draft of taps' => [['gravik:listen', 'TAPS', '--draft=/tmp/x.json'], 'Taps have no notes'],
    'a meter that is none' => [['gravik:listen', 'TAPS', '--meter=4/3'], '4/3'],
    'a take without a plan' => [['gravik:lock', 'composer.json'], '--plan=FILE'],
    'a take that is none' => [['gravik:lock', 'composer.json', '--plan=FILE'], 'This is no take'],
    'a format nobody writes' => [['gravik:export', 'FILE', '--format=mp3', '-o', '/tmp/x.mp3'], 'midi, wav, csv, json'],
    'nowhere to write' => [['gravik:export', 'FILE', '-o', '/nowhere/at/all.json'], 'cannot be written'],
    'no place named' => [['gravik:export', 'FILE'], 'Say where to'],
]);

it('simulates a take as sound and as taps with the truth beside them, hears it, and judges both alike', function (): void {
    $plan = breakdownFile(['tempo' => 110]);
    $out = sys_get_temp_dir().'/gravik-test-'.bin2hex(random_bytes(4));
    foreach (['json', 'wav'] as $kind) {
        expect(artisan(
            'gravik:simulate',
            '--plan='.$plan,
            '--bias-ms=18',
            '--spread-ms=5',
            '--miss=0.05',
            '--bars=8',
            '--seed=3',
            '-o',
            "{$out}.{$kind}",
        )[0])->toBe(0);
    }
    // The recording came last: it begins with a moment of silence, as taps do not.
    $truth = json_decode((string) file_get_contents($out.'.truth.json'), true);
    $heard = json_decode(artisan('gravik:listen', $out.'.wav', '--draft='.$out.'.gravik.json', '--json')[1], true);
    $draft = (new BreakdownJson())->parse((string) file_get_contents($out.'.gravik.json'));
    $sound = json_decode(artisan('gravik:lock', $out.'.wav', '--plan='.$plan, '--first-beat='.$truth['first_beat'], '--json')[1], true);
    $taps = json_decode(artisan('gravik:lock', $out.'.json', '--plan='.$plan, '--json')[1], true);

    expect(count($heard['strokes']))->toEqualWithDelta(count($truth['strokes']), 2)
        ->and($heard['strokes'][0]['t'])->toEqualWithDelta($truth['strokes'][0]['t'] + $truth['first_beat'], 0.005)
        ->and($sound['bias_ms'])->toEqualWithDelta($taps['bias_ms'], 2)->and($sound['missed'])->toEqualWithDelta($taps['missed'], 2)
        ->and($draft->start->tempo->bpm)->toEqualWithDelta(110, 1)->and($heard['chords'])->not->toBeEmpty()
        ->and($sound['slots'][0]['level_db'])->not->toBeNull()->and($taps['slots'][0]['level_db'])->toBeNull();
    foreach ([
        ['gravik:simulate', '--plan='.$plan, '-o', 'take.mp3'],
        ['gravik:simulate', '--plan='.$plan, '--miss=2', '-o', $out.'.wav'],
        ['gravik:listen', $plan],
        ['gravik:listen', '/nowhere.wav'],
    ] as $wrong) {
        expect(artisan(...$wrong)[0])->toBe(2);
    }
});

it('measures the ear by a folder of takes with their truth, and says which truth is missing', function (): void {
    $folder = sys_get_temp_dir().'/gravik-material-'.bin2hex(random_bytes(4));
    mkdir($folder);
    expect(Artisan::call('gravik:material', ['folder' => $folder, '--takes' => 1]))->toBe(0)
        ->and(Artisan::call('gravik:listen', ['file' => $folder, '--against' => true, '--json' => true]))->toBe(0);
    $measured = json_decode(Artisan::output(), true);
    expect($measured['takes'])->toHaveCount(1)->and($measured['all']['f'])->toBeGreaterThan(0.6)->toBeLessThanOrEqual(1.0)
        ->and($measured['all']['error_ms'])->toBeLessThan(6.0);
    array_map(unlink(...), glob("{$folder}/*.truth.json"));
    expect(Artisan::call('gravik:listen', ['file' => $folder, '--against' => true]))->toBe(2)
        ->and(Artisan::call('gravik:material', ['folder' => $folder, '--half' => 'other']))->toBe(2)
        ->and(Artisan::call('gravik:material', ['folder' => "{$folder}/nowhere"]))->toBe(2);
    array_map(unlink(...), glob("{$folder}/*"));
    rmdir($folder);
});
