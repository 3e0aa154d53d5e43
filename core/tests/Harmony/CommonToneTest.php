<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\CommonTone;

it('finds the note that stays through chords most plainly, and the colours that make it possible', function (array $chords, string $note, array $degrees, array $with): void {
    $stays = CommonTone::of(array_map(ChordSymbol::parse(...), $chords))[0];

    expect([$stays->note->text(), $stays->degrees, array_map(static fn (ChordSymbol $chord): string => $chord->text(), $stays->chords)])
        ->toBe([$note, $degrees, $with]);
})->with([
    'falling dominants' => [['C7', 'B7', 'B♭7', 'A7'], 'E', ['3', '11', '♯11', '5'], ['C7', 'B11', 'B♭7♯11', 'A7']],
    'a chord tone in all' => [['C', 'Am', 'F'], 'C', ['R', '♭3', '5'], ['C', 'Am', 'F']],
    'a colour in one' => [['Dm7', 'G7', 'Cmaj7'], 'D', ['R', '5', '9'], ['Dm7', 'G7', 'Cmaj9']],
]);

it('offers only notes that each chord has, once it is called as it is then', function (): void {
    foreach (CommonTone::of(array_map(ChordSymbol::parse(...), ['Dm7', 'A♭7', 'G6', 'C'])) as $stays) {
        foreach ($stays->chords as $place => $chord) {
            expect($chord->has($stays->note->pitchClass()))->toBeTrue()
                ->and($chord->degreeOf($stays->note->pitchClass())->label())->toBe($stays->degrees[$place]);
        }
    }
});

it('has nothing where a chord takes no colour and shares no note', function (): void {
    expect(CommonTone::of(array_map(ChordSymbol::parse(...), ['C5', 'F♯5'])))->toBe([]);
});

it('calls a chord as it is with a colour, whatever the colour', function (string $chord, string $colour, string $with): void {
    $root = ChordSymbol::parse($chord)->rootPitchClass();
    $coloured = array_values(array_filter(
        CommonTone::of([ChordSymbol::parse($chord)]),
        static fn (CommonTone $tone): bool => $tone->degrees === [$colour],
    ));

    expect($coloured)->toHaveCount(1)->and($coloured[0]->chords[0]->text())->toBe($with)->and($coloured[0]->cost)->toBeGreaterThan(0)
        ->and($coloured[0]->chords[0]->has($coloured[0]->note->pitchClass()))->toBeTrue()
        ->and(ChordSymbol::parse($chord)->has($coloured[0]->note->pitchClass()))->toBeFalse()
        ->and($coloured[0]->chords[0]->rootPitchClass())->toBe($root);
})->with([
    ['G7', '9', 'G9'], ['G7', '13', 'G13'], ['G7', '♯11', 'G7♯11'], ['G7', '11', 'G11'], ['G7', '♯9', 'G7♯9'], ['G7', '♭9', 'G7♭9'],
    ['G7', '♯5', 'G7♯5'], ['Am7', '9', 'Am9'], ['Am7', '11', 'Am11'], ['Am', '9', 'Amadd9'], ['Am', '6', 'Am6'], ['Am', '♭7', 'Am7'],
    ['F6', '9', 'F6/9'], ['Fmaj7', '9', 'Fmaj9'], ['Fmaj7', '♯11', 'Fmaj7♯11'], ['F', '9', 'Fadd9'], ['F', '6', 'F6'], ['F', '7', 'Fmaj7'],
    ['F', '♭7', 'F7'],
]);
