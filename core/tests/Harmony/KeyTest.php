<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Harmony\Failure\DegreeNotPossible;
use Gravik\Harmony\Failure\KeyNotReadable;
use Gravik\Harmony\Key;
use Gravik\Harmony\Mode;
use Gravik\Harmony\Numeral;
use Gravik\Harmony\Scale;
use Gravik\Pitch\NoteName;

it('reads a key and counts its signature', function (string $typed, string $text, int $signature): void {
    $key = Key::parse($typed);

    expect($key->text())->toBe($text)->and($key->signature())->toBe($signature);
})->with([
    ['C', 'C major', 0], ['Am', 'A minor', 0], ['D minor', 'D minor', -1], ['E♭', 'E♭ major', -3], ['f# min', 'F♯ minor', 3],
    ['Db major', 'D♭ major', -5], ['C♯ major', 'C♯ major', 7], ['A♭ minor', 'A♭ minor', -7], ['B maj', 'B major', 5],
]);

it('refuses what is no key', function (string $typed): void {
    Key::parse($typed);
})->with(['', 'H', 'D dorian', 'G♯ major', 'F♭', '12'])->throws(KeyNotReadable::class, 'such as "D minor"');

it('carries notes from key to key with their letters', function (string $from, string $note, string $to, string $carried): void {
    expect(Key::parse($from)->carry(NoteName::parse($note), Key::parse($to))->text())->toBe($carried);
})->with([
    ['D minor', 'B♭', 'E minor', 'C'],
    ['C', 'F♯', 'E♭', 'A'],
    ['E♭', 'A♭', 'E', 'A'],
    ['A♭ major', 'B', 'A major', 'B♯'],
    'a double sharp is written plainly' => ['C', 'G♯', 'C♯ major', 'A'],
    ['F', 'D♭', 'G♭ major', 'D'],
]);

it('brings a chord back to where it came from', function (): void {
    foreach (['Dm7', 'B♭7♯11', 'Gm7♭5/D♭', 'E9', 'A♭6'] as $symbol) {
        foreach (['C', 'F', 'B♭', 'E♭', 'G', 'D', 'A'] as $tonic) {
            $home = Key::parse('F');
            $away = Key::parse($tonic);
            $back = $away->carryChord($home->carryChord(ChordSymbol::parse($symbol), $away), $home);
            expect($back->rootPitchClass())->toBe(ChordSymbol::parse($symbol)->rootPitchClass())
                ->and($back->ending)->toBe(ChordSymbol::parse($symbol)->ending);
        }
    }
});

it('reads numerals as chords of the key', function (string $key, string $numeral, string $chord): void {
    expect(Numeral::in(Key::parse($key))->chord($numeral)->text())->toBe($chord);
})->with([
    ['C', 'I', 'C'], ['C', 'ii7', 'Dm7'], ['C', 'V7', 'G7'], ['C', '♭VII7', 'B♭7'], ['C', 'vii°', 'Bdim'], ['C', 'viiø7', 'Bm7♭5'],
    ['C', 'IV7', 'F7'], ['C', '#iv°7', 'F♯dim7'], ['C', 'V7/V', 'D7'], ['C', 'V7/ii', 'A7'], ['C', 'iv6', 'Fm6'], ['C', 'Vsus4', 'Gsus4'],
    ['D♭', '♭III', 'F♭'], ['D minor', 'i6', 'Dm6'], ['D minor', 'VI7', 'B♭7'], ['D minor', '♭VI7', 'B♭7'], ['D minor', 'iv7', 'Gm7'],
    ['D minor', 'V7', 'A7'], ['D minor', 'VII', 'C'], ['D minor', 'vii°7', 'C♯dim7'], ['D minor', 'III', 'F'], ['A minor', 'V7♭9', 'E7♭9'],
]);

it('writes chords as numerals that read as the same chord again', function (string $key, string $symbol, string $numeral): void {
    $numerals = Numeral::in(Key::parse($key));
    expect($numerals->text(ChordSymbol::parse($symbol)))->toBe($numeral)
        ->and($numerals->chord($numeral)->text())->toBe($symbol);
})->with([
    ['A♭', 'A♭6', 'I6'], ['A♭', 'B♭m7', 'ii7'], ['A♭', 'D♭9', 'IV9'], ['A♭', 'F7', 'V7/ii'], ['A', 'B7', 'V7/V'], [
        'C♯ minor',
        'D♯7',
        'V7/V',
    ], ['D minor', 'D7', 'V7/iv'], ['C', 'G7/B', 'V7↓3'], [
        'A minor',
        'Am7/G',
        'i7↓♭7',
    ], ['C', 'D7/F♯', 'V7/V↓3'], ['A♭', 'G♭7', '♭VII7'],
    ['D minor', 'Dm6', 'i6'], ['D minor', 'B♭7', 'VI7'], ['D minor', 'A7', 'V7'], ['D minor', 'C♯dim7', 'vii°7'], ['G', 'F♯m7♭5', 'viiø7'],
    ['E', 'A7', 'IV7'], ['C', 'Cmaj7', 'Imaj7'],
]);

it('prints numerals in every key that can be typed back', function (string $mode): void {
    foreach (range(0, 11) as $tonic) {
        foreach ([false, true] as $sharps) {
            try {
                $key = new Key(NoteName::plain($tonic, $sharps), Mode::from($mode));
            } catch (KeyNotReadable) {
                continue;
            }
            $numerals = Numeral::in($key);
            foreach (range(0, 11) as $root) {
                foreach (['', 'm', '7', 'm7', 'maj7', 'm7♭5', 'dim7', '9', '7♯9', '6/9', 'sus4', '13'] as $ending) {
                    $chord = ChordSymbol::parse($key->spell($root)->text().$ending);
                    $third = $chord->onRoot($chord->root, $chord->spell(($root + $chord->required[0]->semitones()) % 12));
                    foreach ([$chord, $third] as $each) {
                        foreach ([$numerals->text($each), $numerals->plain($each)] as $printed) {
                            $again = $numerals->chord($printed);
                            expect([
                                $printed,
                                $again->rootPitchClass(),
                                $again->ending,
                                $again->bass?->pitchClass(),
                            ])->toBe([$printed, $root, $chord->ending, $each->bass?->pitchClass()]);
                        }
                    }
                }
            }
        }
    }
})->with(['major', 'minor']);

it('reads secondary dominants in every key, also where the goal is no key of the list', function (string $key, string $numeral, string $chord): void {
    expect(Numeral::in(Key::parse($key))->chord($numeral)->text())->toBe($chord);
})->with([
    ['C♯ minor', 'V7/V', 'D♯7'],
    ['C♯', 'V7/iii', 'B♯7'],
    ['A♭ minor', 'V7/VI', 'C♭7'],
    ['C', 'vii°7/V', 'F♯dim7'],
    ['E♭', 'V7_3', 'B♭7/D'],
    ['C', 'V7/3', 'G7/B'],
    ['B', 'V7/vi', 'D♯7'],
]);

it('spells strangers by what they do in the key', function (string $key, int $pitchClass, string $name): void {
    expect(Key::parse($key)->spell($pitchClass)->text())->toBe($name);
})->with([
    ['C', 1, 'D♭'],
    ['C', 6, 'F♯'],
    ['E', 5, 'F'],
    ['A', 10, 'B♭'],
    ['D minor', 1, 'C♯'],
    ['A minor', 8, 'G♯'],
    ['G', 8, 'A♭'],
    ['A♭', 2, 'D'],
    ['C♭', 0, 'C'],
]);

it('has the notes of a scale and no others', function (string $name, string $key, array $notes): void {
    $scale = Scale::named($name, Key::parse($key));
    expect(array_values(array_filter(range(0, 11), $scale->has(...))))->toBe($notes);
})->with([
    'major pentatonic' => ['major-pentatonic', 'C', [0, 2, 4, 7, 9]],
    'minor pentatonic' => ['minor-pentatonic', 'A minor', [0, 2, 4, 7, 9]],
    'minor pentatonic on D' => ['minor-pentatonic', 'D minor', [0, 2, 5, 7, 9]],
    'the key' => ['key', 'D minor', [0, 2, 4, 5, 7, 9, 10]],
]);

it('knows degrees 1 to 13, altered by up to two semitones', function (int $number, int $alter, ?int $semitones): void {
    $build = static fn (): Degree => new Degree($number, $alter);
    $semitones === null ? expect($build)->toThrow(DegreeNotPossible::class) : expect($build()->semitones())->toBe($semitones);
})->with([[1, 0, 0], [7, -1, 10], [7, -2, 9], [9, 1, 3], [13, 0, 9], [0, 0, null], [14, 0, null], [5, 3, null], [5, -3, null]]);
