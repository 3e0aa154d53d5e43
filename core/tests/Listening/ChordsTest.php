<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Listening\Chords\ChordReader;
use Gravik\Listening\Chords\ChordsHeard;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Chords\HeldGrips;
use Gravik\Listening\Chords\Internal\LikeliestWay;
use Gravik\Listening\Failure\NotesNotReadable;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Neck\Company;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/**
 * Two seconds of each chord.
 *
 * @param list<list<int>> $chords MIDI numbers
 */
function soundingChords(array $chords): NotesHeard
{
    $notes = [];
    foreach ($chords as $bar => $midi) {
        foreach ($midi as $note) {
            $notes[] = ['t' => 2.0 * $bar, 'seconds' => 2.0, 'midi' => $note];
        }
    }

    return NotesHeard::sounding($notes);
}

/** @param list<list<int>> $chords */
function readChords(array $chords, Company $company = Company::Alone, ?string $key = null): ChordsHeard
{
    $bars = array_map(
        static fn (int $bar): array => [[[2.0 * $bar, 2.0 * $bar + 1]], [[2.0 * $bar + 1, 2.0 * $bar + 2]]],
        array_keys($chords),
    );

    return (new ChordReader())->read(soundingChords($chords), $bars, $company, $key === null ? null : Key::parse($key));
}

/** @return list<string> */
function symbolsOf(ChordsHeard $heard): array
{
    return array_map(static fn (HeardChord $chord): string => $chord->chord->text(), $heard->chords);
}

it('tells chords and their key from notes', function (array $chords, array $symbols, string $key): void {
    $heard = readChords($chords);

    expect(symbolsOf($heard))->toBe($symbols)->and($heard->key->text())->toBe($key)->and($heard->keyIsGiven)->toBeFalse();
})->with([
    'triads' => [
        [[48, 52, 55, 60], [45, 52, 57, 60], [41, 48, 53, 57], [43, 50, 55, 59], [48, 52, 55, 60]],
        ['C', 'Am', 'F', 'G', 'C'],
        'C major',
    ],
    'sevenths' => [[[50, 57, 60, 65], [43, 53, 59, 62], [48, 55, 59, 64], [48, 55, 59, 64]], ['Dm7', 'G7', 'Cmaj7', 'Cmaj7'], 'C major'],
    'a sixth, and a ninth' => [[[46, 53, 55, 62], [51, 55, 61, 65], [46, 53, 55, 62]], ['B♭6', 'E♭9', 'B♭6'], 'B♭ major'],
    'minor' => [[[40, 52, 55, 59], [45, 52, 57, 60], [47, 51, 57, 59], [40, 52, 55, 59]], ['Em', 'Am', 'B7', 'Em'], 'E minor'],
]);

it('gives the root to the bass player where there is one', function (): void {
    $rootless = [[53, 57, 60, 64], [53, 57, 59, 64], [52, 55, 59, 62]];

    expect(symbolsOf(readChords($rootless, Company::WithBass, 'C major')))->toBe(['Dm9', 'G13', 'Cmaj9'])
        ->and(symbolsOf(readChords($rootless, Company::Alone, 'C major'))[0])->toBe('Fmaj7');
});

it('tells a chord that changes within its bar, and one that goes on as one', function (): void {
    $notes = NotesHeard::sounding([
        ...array_map(static fn (int $midi): array => ['t' => 0.0, 'seconds' => 2.0, 'midi' => $midi], [48, 52, 55, 60]),
        ...array_map(static fn (int $midi): array => ['t' => 2.0, 'seconds' => 1.0, 'midi' => $midi], [41, 48, 53, 57]),
        ...array_map(static fn (int $midi): array => ['t' => 3.0, 'seconds' => 1.0, 'midi' => $midi], [43, 50, 55, 59]),
    ]);
    $heard = (new ChordReader())->read($notes, [[[[0.0, 1.0]], [[1.0, 2.0]]], [[[2.0, 3.0]], [[3.0, 4.0]]]], Company::Alone);

    expect(symbolsOf($heard))->toBe(['C', 'F', 'G'])
        ->and(array_map(static fn (HeardChord $chord): array => [$chord->bar, $chord->part, $chord->spans], $heard->chords))
        ->toBe([[0, 0, [[0.0, 1.0], [1.0, 2.0]]], [1, 0, [[2.0, 3.0]]], [1, 1, [[3.0, 4.0]]]]);
});

it('is sure of what only one chord explains, and says what else four notes without a root may be', function (): void {
    $whole = readChords([[43, 53, 59, 62], [48, 52, 55, 60]])->chords;
    $rootless = readChords([[53, 57, 60, 64], [53, 57, 59, 64]], Company::WithBass, 'C major')->chords[0];

    expect($whole[0]->isSure())->toBeTrue()->and($rootless->isSure())->toBeFalse()->and($rootless->chord->text())->toBe('Dm9')
        ->and(array_map(static fn (ChordSymbol $chord): string => $chord->text(), $rootless->others))->toContain('Fmaj7');
});

it('finds the way that counts most, as trying every way does', function (int $seed): void {
    mt_srand($seed);
    $random = static fn (): float => mt_rand(-1000, 1000) / 500;
    $scores = array_map(static fn (): array => [$random(), $random(), $random(), $random()], range(1, 5));
    $steps = array_map(static fn (): array => [$random(), $random(), $random(), $random()], range(1, 4));
    $sum = static function (array $way) use ($scores, $steps): float {
        $total = 0.0;
        foreach ($way as $place => $candidate) {
            $total += $scores[$place][$candidate] + ($place === 0 ? 0.0 : $steps[$way[$place - 1]][$candidate]);
        }

        return $total;
    };
    $best = -INF;
    for ($number = 0; $number < 4 ** 5; $number++) {
        $best = max($best, $sum(array_map(intval(...), str_split(str_pad(base_convert((string) $number, 10, 4), 5, '0', STR_PAD_LEFT)))));
    }
    $found = LikeliestWay::through($scores, static fn (int $from, int $to): float => $steps[$from][$to]);

    expect($sum($found))->toEqualWithDelta($best, 1e-9);
})->with([1, 2, 3, 4, 5, 6]);

it('hears the notes of a chord by their harmonics, in a recording a third of a half step flat', function (): void {
    $rate = 22050;
    $chord = [45, 52, 55, 61];
    $samples = [];
    for ($i = 0; $i < 6 * $rate; $i++) {
        $since = $i % $rate / $rate;
        $value = 0.0;
        foreach ($chord as $note) {
            $hz = 440 * 2 ** (($note - 69 - 0.33) / 12);
            foreach ([1.0, 0.55, 0.4, 0.2, 0.12] as $harmonic => $level) {
                $value += $level * sin(2 * M_PI * ($harmonic + 1) * $hz * $since);
            }
        }
        $samples[] = 0.08 * $value * exp(-2 * $since) * min(1.0, $since / 0.004);
    }
    $file = tempnam(sys_get_temp_dir(), 'chord');
    file_put_contents($file, WavFile::write([$samples], count($samples), $rate));
    $levels = (new StrokeListener())->hearAll(WavSource::open($file))->notes->notes()->over([[0.5, 5.5]]);
    unlink($file);
    arsort($levels);
    $loudest = array_slice(array_keys($levels), 0, count($chord));
    sort($loudest);

    expect($loudest)->toBe($chord);
});

it('keeps what it heard as text, and refuses what was damaged', function (): void {
    $notes = soundingChords([[48, 52], [50]]);
    $again = NotesHeard::unpack($notes->packed());

    expect($again->over([[0, 2]]))->toBe($notes->over([[0, 2]]))->and($again->over([[0, 2]])[48])->toEqual(1.0)
        ->and($again->over([[0, 2]])[50])->toEqual(0.0)->and($again->over([[2, 4]])[50])->toEqual(1.0)
        ->and($again->over([[90, 91]])[50])->toEqual(0.0)
        ->and(fn () => NotesHeard::unpack('12<'))->toThrow(NotesNotReadable::class);
});

it('knows the grip by its strings', function (string $symbol, array $midi, array $frets): void {
    $grips = new HeldGrips(new Neck(Tuning::standard()), Company::Alone);

    expect($grips->of(ChordSymbol::parse($symbol), soundingChords([$midi]), [[0.0, 2.0]])?->frets)->toBe($frets);
})->with([
    'C by the nut' => ['C', [48, 52, 55, 60, 64], [null, 3, 2, 0, 1, 0]],
    'C at the eighth fret' => ['C', [48, 55, 60, 64, 67, 72], [8, 10, 10, 9, 8, 8]],
    'A7 under a barre' => ['A7', [45, 52, 55, 61, 64, 69], [5, 7, 5, 6, 5, 5]],
]);
