<?php

declare(strict_types=1);

use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;

/** @param list<Degree> $degrees */
function degreeText(array $degrees): string
{
    return implode(' ', array_map(static fn (Degree $degree): string => $degree->text(), $degrees));
}

it('sorts the degrees of a chord into required and optional', function (string $typed, string $printed, string $required, string $optional): void {
    $chord = ChordSymbol::parse($typed);

    expect($chord->text())->toBe($printed)
        ->and(degreeText($chord->required))->toBe($required)
        ->and(degreeText($chord->optional))->toBe($optional);
})->with([
    'major triad' => ['C', 'C', '3', '5'],
    'minor triad' => ['Dm', 'Dm', '♭3', '5'],
    'minus for minor' => ['D−', 'Dm', '♭3', '5'],
    'diminished' => ['Bdim', 'Bdim', '♭3 ♭5', ''],
    'augmented, a plus' => ['C+', 'Caug', '3 ♯5', ''],
    'sixth' => ['A♭6', 'A♭6', '3 6', '5'],
    'minor sixth' => ['Dm6', 'Dm6', '♭3 6', '5'],
    'six nine' => ['C6/9', 'C6/9', '3 6 9', '5'],
    'six nine, run together' => ['C69', 'C6/9', '3 6 9', '5'],
    'dominant seventh' => ['B♭7', 'B♭7', '3 ♭7', '5'],
    'minor seventh' => ['Gm7', 'Gm7', '♭3 ♭7', '5'],
    'major seventh' => ['Fmaj7', 'Fmaj7', '3 7', '5'],
    'major seventh, capital M' => ['FM7', 'Fmaj7', '3 7', '5'],
    'major seventh, triangle' => ['FΔ', 'Fmaj7', '3 7', '5'],
    'minor with a major seventh' => ['Cm(maj7)', 'CmMaj7', '♭3 7', '5'],
    'half-diminished' => ['Eø', 'Em7♭5', '♭3 ♭5 ♭7', ''],
    'half-diminished, spelled out' => ['Em7b5', 'Em7♭5', '♭3 ♭5 ♭7', ''],
    'diminished seventh has a sixth' => ['B°7', 'Bdim7', '♭3 ♭5 6', ''],
    'suspended' => ['Dsus4', 'Dsus4', '4', '5'],
    'sus alone is sus4' => ['Dsus', 'Dsus4', '4', '5'],
    'sus2' => ['Dsus2', 'Dsus2', '2', '5'],
    'suspended seventh' => ['G7sus4', 'G7sus4', '4 ♭7', '5'],
    'suspended ninth' => ['G9sus4', 'G9sus4', '4 ♭7 9', '5'],
    'suspended thirteenth' => ['G13sus4', 'G13sus4', '4 ♭7 13', '5 9'],
    'ninth' => ['D♭9', 'D♭9', '3 ♭7 9', '5'],
    'eleventh: the third may go' => ['C11', 'C11', '♭7 11', '5 3 9'],
    'minor eleventh keeps its third' => ['Cm11', 'Cm11', '♭3 ♭7 11', '5 9'],
    'thirteenth: no natural eleventh over a major third' => ['B♭13', 'B♭13', '3 ♭7 13', '5 9'],
    'minor thirteenth may have it' => ['Cm13', 'Cm13', '♭3 ♭7 13', '5 9 11'],
    'flat ninth' => ['C7♭9', 'C7♭9', '3 ♭7 ♭9', '5'],
    'flat ninth in brackets' => ['C7(b9)', 'C7♭9', '3 ♭7 ♭9', '5'],
    'sharp eleven leaves the fifth optional' => ['C7#11', 'C7♯11', '3 ♭7 ♯11', '5'],
    'sharp five replaces it' => ['C7#5', 'C7♯5', '3 ♯5 ♭7', ''],
    'thirteen with a flat nine' => ['C13b9', 'C13♭9', '3 ♭7 ♭9 13', '5'],
    'two alterations' => ['C7(b9,#11)', 'C7(♭9,♯11)', '3 ♭7 ♭9 ♯11', '5'],
    'altered' => ['G7alt', 'G7alt', '3 ♭7', ''],
    'altered, short' => ['Galt', 'G7alt', '3 ♭7', ''],
    'added ninth has no seventh' => ['Cadd9', 'Cadd9', '3 9', '5'],
    'power chord' => ['E5', 'E5', '5', ''],
    'without a third' => ['Eno3', 'Eno3', '5', ''],
]);

it('asks an altered chord for one of its alterations', function (): void {
    expect(degreeText(ChordSymbol::parse('G7alt')->oneOf))->toBe('♭9 ♯9 ♭5 ♯5')
        ->and(ChordSymbol::parse('G7')->oneOf)->toBe([]);
});

it('keeps third and seventh as the shell, the sixth where there is none, the root where there is neither', function (string $symbol, string $shell): void {
    expect(degreeText(ChordSymbol::parse($symbol)->shell))->toBe($shell);
})->with([['C13b9', '3 ♭7'], ['Dm6', '♭3 6'], ['G9sus4', '4 ♭7'], ['F', '3'], ['Bdim7', '♭3 6']]);

it('takes a slash bass into the chord', function (string $typed, string $printed, ?string $bass): void {
    $chord = ChordSymbol::parse($typed);

    expect($chord->text())->toBe($printed)->and($chord->bass?->text())->toBe($bass);
})->with([['Dm/C', 'Dm/C', 'C'], ['C/D', 'C/D', 'D'], ['C6/9/E', 'C6/9/E', 'E'], ['Am7/G', 'Am7/G', 'G'], ['C/C', 'C', null]]);

it('prints what it can read again as the same chord', function (string $symbol): void {
    $chord = ChordSymbol::parse($symbol);
    $again = ChordSymbol::parse($chord->text());

    expect($again->text())->toBe($chord->text())->and(degreeText($again->degrees()))->toBe(degreeText($chord->degrees()));
})->with([
    'Cmaj7♯11',
    'C7(♯5,♯9)',
    'Cmadd9',
    'F♯m7♭5/E',
    'B♭13sus4',
    'Cm9♭5',
    'CmMaj9',
    'Caddb9',
    'D7no5',
    'E♭aug',
    'Dbmaj9',
    'C7+',
    'C9b5',
]);

it('points at the character it cannot read and offers the nearest symbol', function (string $typed, int $at, ?string $nearest): void {
    try {
        ChordSymbol::parse($typed);
        $this->fail('it was read');
    } catch (ChordNotUnderstood $problem) {
        expect($problem->at)->toBe($at)->and($problem->nearest)->toBe($nearest);
    }
})->with([
    'a stray letter inside' => ['Ebv9', 2, 'E♭9'],
    'a stray letter at the end' => ['Gm7q', 3, 'Gm7'],
    'no root' => ['Hm', 0, 'Bm'],
    'a lower-case root' => ['dm7', 0, 'Dm7'],
    'nothing like a chord' => ['???', 0, null],
    'no note of ours' => ['xylo', 0, null],
    'a seventh with add9' => ['C7add9', 1, 'Cadd9'],
    'a power chord with a ninth' => ['E5b9', 1, 'E7♭9'],
]);

it('says in the message what was read, where it stopped and what would do', function (): void {
    ChordSymbol::parse('Ebv9');
})->throws(ChordNotUnderstood::class, 'In "Ebv9" the part from character 3, "v9", is no chord ending we know. Did you mean "E♭9"?');

it('spells the notes of a chord by their degrees', function (string $symbol, int $pitchClass, string $note): void {
    expect(ChordSymbol::parse($symbol)->spell($pitchClass)->text())->toBe($note);
})->with([
    'the flat third of A♭ minor' => ['A♭m', 11, 'C♭'],
    'the third of E' => ['E', 8, 'G♯'],
    'the flat ninth of D♭' => ['D♭7♭9', 2, 'E𝄫'],
    'the sharp ninth of E' => ['E7♯9', 7, 'F𝄪'],
    'a slash bass keeps its own name' => ['D/F♯', 6, 'F♯'],
]);

it('knows which notes fight a chord when they are held: a half step above one of its own', function (string $chord, array $fights): void {
    $found = array_filter(range(60, 71), static fn (int $midi): bool => ChordSymbol::parse($chord)->isFoughtBy($midi));

    expect(array_values($found))->toBe($fights);
})->with([
    'over C: D♭, F and A♭' => ['C', [61, 65, 68]],
    'over Cmaj7 the root is its own, though B lies under it' => ['Cmaj7', [61, 65, 68]],
    'over Dm7: D♭ above C, E♭, F♯ and B♭' => ['Dm7', [61, 63, 66, 70]],
]);

it('calls strangers to a chord by the degree a player would', function (string $chord, int $pitchClass, string $degree): void {
    expect(ChordSymbol::parse($chord)->degreeOf($pitchClass)->label())->toBe($degree);
})->with([['C5', 1, '♭9'], ['C5', 2, '9'], ['C5', 3, '♭3'], ['C5', 4, '3'], ['C5', 5, '11'], ['C5', 6, '♭5'], ['C5', 8, '♭13'],
    ['C5', 9, '13'], ['C5', 10, '♭7'], ['C5', 11, '7'], ['C', 0, 'R'], ['Cdim', 7, '5']]);

it('offers the plain chord where nothing it knows is near', function (): void {
    expect(static fn () => ChordSymbol::parse('Dzzzzzzzzz'))->toThrow(ChordNotUnderstood::class, 'Did you mean "D"?');
});
