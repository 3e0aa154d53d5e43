<?php

declare(strict_types=1);

use Gravik\Harmony\ChordName;
use Gravik\Harmony\ChordNamer;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;

/** @return list<string> */
function namesOf(string $grip, ?string $key = null, string $tuning = 'standard', int $capo = 0): array
{
    $tuning = Tuning::parse($tuning);
    $namer = new GripNamer(new Neck($tuning, $capo), $key === null ? null : Key::parse($key));

    return array_map(
        static fn (ChordName $name): string => $name->chord->text(),
        $namer->names(GripNamer::parse($grip, $tuning->strings())),
    );
}

it('puts the name first that a teacher would say in that key', function (string $grip, ?string $key, string $first, ?string $second = null): void {
    $names = namesOf($grip, $key);

    expect($names[0])->toBe($first);
    if ($second !== null) {
        expect($names[1])->toBe($second);
    }
})->with([
    'four middle strings in F: the half-diminished, whole and with its root in the bass, then the ninth without its root' => [
        'x 7 8 7 8 x',
        'F',
        'Em7♭5',
        'C9',
    ],
    'the same in C, where the half-diminished is foreign and it is a I9' => ['x 7 8 7 8 x', 'C', 'C9', 'Em7♭5'],
    'without a key the root in the bass decides' => ['x 7 8 7 8 x', null, 'Em7♭5', 'C9'],
    'open C' => ['x 3 2 0 1 0', 'C', 'C'],
    'C over its third' => ['0 3 2 0 1 0', 'C', 'C/E'],
    'A minor is no rootless F' => ['x 0 2 2 1 0', 'C', 'Am'],
    'a triad is no rootless seventh' => ['x x 2 0 1 0', 'C', 'C/E'],
    'a sixth and a minor seventh share their notes' => ['x x 6 8 6 8', 'A♭', 'A♭6', 'Fm7/A♭'],
    'guide tones belong to the dominant of the key' => ['x x 2 3 x x', 'F', 'C7', 'G♭7'],
    'the other dominant with the same guide tones' => ['x x 2 3 x x', 'C♭', 'G♭7', 'C7'],
    'guide tones with the ninth on top' => ['x x 2 3 3 x', 'F', 'C9', 'B♭/E'],
    'guide tones with the thirteenth' => ['x x 2 3 x 5', 'F', 'C13'],
    'guide tones with the lowered ninth' => ['x x 2 3 2 x', 'F', 'C7♭9'],
    'a diminished triad is itself and no rootless ninth' => ['x x 2 3 x 3', 'F', 'Edim'],
    'a power chord with its fifth below' => ['3 3 x x x x', null, 'C5/G'],
    'a barre' => ['1 3 3 2 1 1', 'B♭', 'F'],
    'a diminished seventh takes its name from the bass' => ['x x 1 2 1 2', null, 'E♭dim7'],
    'the half-diminished ii of a minor key' => ['x 2 3 2 3 x', 'Am', 'Bm7♭5', 'G9'],
    'a barre on ♭II is itself and no altered V' => ['x 4 6 4 6 4', 'C', 'D♭7'],
    'a barre on ♭VI' => ['4 6 6 5 4 4', 'C', 'A♭'],
    'the exact name before alt' => ['0 x 0 1 0 3', 'A', 'E7♯9'],
    'the same with a lowered ninth' => ['x 3 2 3 2 x', 'F', 'C7♭9'],
    'a ninth without its third is suspended' => ['x 5 5 5 5 5', 'G', 'D9sus4'],
    'the leading-tone diminished of a minor key' => ['x 4 5 3 5 x', 'Dm', 'C♯dim7'],
    'spelled by the key: sharps' => ['x 4 6 6 6 4', 'F♯', 'C♯'],
    'spelled by the key: flats' => ['x 4 6 6 6 4', 'A♭', 'D♭'],
]);

it('names what sounds, not where it is held', function (): void {
    expect(namesOf('x 3 2 0 1 0', 'E♭', 'standard', 3)[0])->toBe('E♭')
        ->and(namesOf('0 0 0 0 0 0', 'G', 'open-g')[0])->toBe('G/D')
        ->and(namesOf('0 0 0 2', 'A', 'tenor')[0] ?? null)->not->toBeNull();
});

it('gives every grip the name of the chord it was found for', function (string $symbol, Company $company): void {
    $neck = new Neck(Tuning::standard());
    $chord = ChordSymbol::parse($symbol);
    $namer = new GripNamer($neck, null, $chord);
    foreach ((new VoicingFinder($neck, new FretRange(0, 9), $company))->all($chord) as $index => $voicing) {
        if ($index % 7 !== 0) {
            continue;
        }
        $name = $namer->names($voicing->frets)[0];
        expect([$name->chord->rootPitchClass(), $name->chord->ending])->toBe([$chord->rootPitchClass(), $chord->ending])
            ->and(array_map(
                static fn (Degree $degree): string => $degree->label(),
                $name->degrees,
            ))->toBe(array_values(array_filter($voicing->degrees(), static fn (?string $degree): bool => $degree !== null)));
    }
})->with([
    ['C', Company::Alone],
    ['Gm7', Company::Alone],
    ['B♭13', Company::Alone],
    ['F♯m7♭5', Company::Alone],
    ['D7♯9', Company::Alone],
    ['Cadd9', Company::Alone],
    ['E♭6', Company::Alone],
]);

it('never lists a chord to which a sounding note is foreign or of which a required one is missing', function (int $seed): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $named = 0;
    for ($i = 0; $i < 40; $i++) {
        $midi = array_map(static fn (): int => $chance->getInt(45, 70), range(0, $chance->getInt(1, 4)));
        sort($midi);
        foreach ((new ChordNamer(Key::parse('E♭')))->names($midi) as $name) {
            $named++;
            $classes = array_unique(array_map(static fn (int $note): int => $note % 12, $midi));
            $of = static fn (Degree $degree): int => ($name->chord->rootPitchClass() + $degree->semitones()) % 12;
            $own = [...array_map($of, $name->chord->degrees()), ...($name->chord->bass === null ? [] : [$name->chord->bass->pitchClass()])];
            expect(array_diff($classes, $own))->toBe([])
                ->and(array_diff(array_map($of, $name->chord->required), $classes))->toBe([])
                ->and($name->chord->bass?->pitchClass() ?? $midi[0] % 12)->toBe($midi[0] % 12);
        }
    }
    expect($named)->toBeGreaterThan(20);
})->with([1, 2, 3]);

it('says what is left out and what it is in the key', function (): void {
    $names = (new GripNamer(new Neck(Tuning::standard()), Key::parse('F')))->names([null, 7, 8, 7, 8, null]);

    expect($names[0]->why)->toBe('viiø7 in F major, root in the bass, complete')
        ->and(array_map(static fn (Degree $degree): string => $degree->label(), $names[1]->omitted))->toBe(['R'])
        ->and($names[1]->why)->toBe('V9 in F major, root not played');
});

it('has no name for notes that make no chord', function (): void {
    expect(namesOf('0 1 2 3 4 5'))->toBe([]);
});

it('refuses what is no grip', function (string $grip, string $message): void {
    expect(static fn () => namesOf($grip))->toThrow(NeckException::class, $message);
})->with([
    ['x x x', 'is no grip'],
    ['x 3 2 0 1 H', 'is no grip'],
    ['x 3 2 0 1 99', 'is no grip'],
    ['', 'is no grip'],
    ['x x x x x 3', 'at least two strings'],
]);

it('moves every name by the frets that a grip is moved, so that the V lies two frets above the IV', function (string $grip): void {
    $frets = GripNamer::parse($grip, 6);
    $namer = new GripNamer(new Neck(Tuning::standard()));
    $facts = static fn (array $names, int $back): array => array_map(
        static fn (ChordName $name): array => [
            ($name->chord->rootPitchClass() - $back + 12) % 12,
            $name->chord->ending,
            array_map(static fn (Degree $degree): string => $degree->label(), $name->degrees),
        ],
        $names,
    );
    $sorted = static function (array $facts): array {
        sort($facts);

        return $facts;
    };
    foreach ([1, 2, 5, 7] as $by) {
        $moved = array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $by, $frets);
        expect($sorted($facts($namer->names($moved), $by)))->toBe($sorted($facts($namer->names($frets), 0)));
    }
})->with(['1 3 3 2 1 1', 'x 7 8 7 8 x', 'x x 2 3 3 x', 'x 3 2 3 3 x', 'x x 1 2 1 2', '3 x 2 3 x x', 'x 3 5 5 4 3']);

/** Grips everybody plays, low to high from the root at fret 0 of its string, by the ending they sound. */
function commonGrips(): array
{
    return [
        '' => [
            [0, 2, 2, 1, 0, 0],
            [null, 0, 2, 2, 2, 0],
            [null, null, 0, 2, 3, 2],
        ], 'm' => [[0, 2, 2, 0, 0, 0], [null, 0, 2, 2, 1, 0], [null, null, 0, 2, 3, 1]],
        '7' => [
            [0, 2, 0, 1, 0, 0],
            [null, 0, 2, 0, 2, 0],
            [null, null, 0, 2, 1, 2],
        ], 'm7' => [[0, 2, 0, 0, 0, 0], [null, 0, 2, 0, 1, 0], [null, null, 0, 2, 1, 1]],
        'maj7' => [[0, null, 1, 1, 0, null], [null, 0, 2, 1, 2, 0], [null, null, 0, 2, 2, 2]], 'm7♭5' => [
            [0, null, 0, 0, -1, null],
            [null, 0, 1, 0, 1, null],
            [null, null, 0, 1, 1, 1],
        ],
        'dim7' => [
            [null, 0, 1, -1, 1, null],
            [null, null, 0, 1, 0, 1],
        ], '6' => [[null, null, 0, 2, 0, 2]], '9' => [[null, 0, -1, 0, 0, null]], 'm6' => [[null, null, 0, 2, 0, 1]],
    ];
}

it('says first what every chord of a key is called in its common grips', function (string $keyName): void {
    $key = Key::parse($keyName);
    $neck = new Neck(Tuning::standard());
    $namer = new GripNamer($neck, $key);
    $numerals = $key->mode === Gravik\Harmony\Mode::Major
        ? [
            'I',
            'Imaj7',
            'ii',
            'ii7',
            'iii',
            'iii7',
            'IV',
            'IVmaj7',
            'V',
            'V7',
            'V9',
            'vi',
            'vi7',
            'viiø7',
            'V7/V',
            'V7/ii',
            'V7/vi',
            'V7/iii',
            '♭VII',
            'iv',
            '♭VI',
            '♭III',
            '♭II7',
            'I6',
            'IV6',
            'I7',
            'IV7',
            '♯iv°7',
            'ii6',
            '♭VI7',
        ]
        : [
            'i',
            'i7',
            'iiø7',
            'III',
            'IIImaj7',
            'iv',
            'iv7',
            'V7',
            'v7',
            'VI',
            'VImaj7',
            'VII',
            'VII7',
            'vii°7',
            'V7/V',
            'V7/iv',
            'V7/VII',
            '♭II',
            'IV',
            'IV7',
            'VI7',
            'i6',
            'V9',
        ];
    foreach ($numerals as $numeral) {
        $chord = Gravik\Harmony\Numeral::in($key)->chord($numeral);
        foreach (commonGrips()[$chord->ending] as $shape) {
            $string = (int) array_key_first(array_filter($shape, static fn (?int $fret): bool => $fret !== null));
            $root = ($chord->rootPitchClass() - $neck->openMidi()[$string] % 12 + 12) % 12;
            $root += min(array_map(static fn (?int $fret): int => $fret ?? 0, $shape)) + $root < 0 ? 12 : 0;
            $names = $namer->names(array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $root, $shape));
            // Roots with a double sign have everyday names, but for the leading note.
            $said = abs($chord->root->alter) > 1 && $chord->ending !== 'dim7'
                ? $chord->onRoot($key->spell($chord->rootPitchClass()), null)
                : $chord;
            expect("{$numeral}: ".$names[0]->chord->text())->toBe("{$numeral}: ".$said->text());
        }
    }
})->with([
    'C',
    'G',
    'D',
    'A',
    'E',
    'B',
    'F♯',
    'C♯',
    'F',
    'B♭',
    'E♭',
    'A♭',
    'D♭',
    'G♭',
    'C♭',
    'Am',
    'Em',
    'Bm',
    'F♯m',
    'C♯m',
    'G♯m',
    'D♯m',
    'A♯m',
    'Dm',
    'Gm',
    'Cm',
    'Fm',
    'B♭m',
    'E♭m',
    'A♭m',
]);
