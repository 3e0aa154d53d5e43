<?php

declare(strict_types=1);

use Gravik\Pitch\NoteName;
use Gravik\Pitch\Pitch;
use Gravik\Pitch\PitchException;

it('reads a note however its sign is typed', function (string $typed, string $text, int $pitchClass): void {
    $note = NoteName::parse($typed);

    expect($note->text())->toBe($text)->and($note->pitchClass())->toBe($pitchClass);
})->with([
    'natural' => ['C', 'C', 0],
    'lower case' => ['g', 'G', 7],
    'flat sign' => ['E♭', 'E♭', 3],
    'letter b as flat' => ['Bb', 'B♭', 10],
    'hash as sharp' => ['F#', 'F♯', 6],
    'double flat' => ['B𝄫', 'B𝄫', 9],
    'two letters b' => ['Ebb', 'E𝄫', 2],
    'x as double sharp' => ['Fx', 'F𝄪', 7],
    'below the octave' => ['C♭', 'C♭', 11],
    'above the octave' => ['B♯', 'B♯', 0],
]);

it('refuses what is no note and says what would do', function (string $typed): void {
    NoteName::parse($typed);
})->with(['', 'H', 'C♭♯', 'Cbbb', '♭', 'do'])->throws(PitchException::class, 'Write a letter A to G');

it('spells every pitch class with the letter asked for, or plainly where that would need three signs', function (): void {
    foreach (range(0, 11) as $pitchClass) {
        foreach (range(0, 6) as $letter) {
            $note = NoteName::withLetter($letter, $pitchClass);
            expect($note->pitchClass())->toBe($pitchClass);
            $distance = abs((($pitchClass - [0, 2, 4, 5, 7, 9, 11][$letter] + 18) % 12) - 6);
            expect($note->letter === $letter)->toBe($distance <= 2);
        }
    }
});

it('knows that no note has three signs', function (): void {
    NoteName::of(0, 3);
})->throws(PitchException::class);

it('numbers pitches as MIDI does', function (string $typed, int $midi): void {
    expect(Pitch::parse($typed)->midi())->toBe($midi);
})->with([
    'middle C' => ['C4', 60],
    'concert A' => ['A4', 69],
    'the low string' => ['E2', 40],
    'C flat stays in its octave' => ['C♭4', 59],
    'B sharp stays in its octave' => ['B♯3', 60],
    'the lowest there is' => ['C-1', 0],
]);

it('gives a MIDI number back in any spelling', function (): void {
    foreach (range(24, 90) as $midi) {
        foreach (['C', 'D♭', 'C♯', 'B♯', 'C♭', 'F♯', 'G♭', 'A'] as $name) {
            $note = NoteName::parse($name);
            if ($note->pitchClass() === $midi % 12) {
                expect(Pitch::parse(Pitch::ofMidi($midi, $note)->text())->midi())->toBe($midi);
            }
        }
    }
});

it('refuses pitches without an octave or off the scale', function (string $typed): void {
    Pitch::parse($typed);
})->with(['E', 'E22', 'G9♯', 'C-2', 'H3', 'B9'])->throws(PitchException::class);

it('is the same note only with the same letter and sign, though it may sound the same', function (string $one, string $other, bool $same): void {
    expect(NoteName::parse($one)->equals(NoteName::parse($other)))->toBe($same);
})->with([['E♭', 'Eb', true], ['E♭', 'D♯', false], ['E♭', 'E', false], ['C', 'B♯', false], ['A♭', 'E♭', false]]);

it('spells a pitch class by the letter asked for, counted round the alphabet in both directions', function (int $letter, int $pitch, string $name): void {
    expect(NoteName::withLetter($letter, $pitch)->text())->toBe($name);
})->with([[0, 1, 'C♯'], [7, 1, 'C♯'], [-7, 0, 'C'], [-1, 10, 'B♭'], [8, 3, 'D♯'], [6, 11, 'B'], [13, 0, 'B♯'], [-6, 1, 'D♭']]);

it('reads pitches from C−1 to G9 and none beyond', function (string $lowest, string $highest): void {
    expect(Pitch::parse($lowest)->midi())->toBe(0)->and(Pitch::parse($highest)->midi())->toBe(127)
        ->and(static fn () => Pitch::parse('G#9'))->toThrow(PitchException::class)
        ->and(static fn () => Pitch::parse('Cb-1'))->toThrow(PitchException::class);
})->with([['C-1', 'G9']]);
