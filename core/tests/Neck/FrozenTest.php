<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\CapoPlan;
use Gravik\Neck\Finder\Enricher;
use Gravik\Neck\Finder\GripMover;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\CommonGrips;
use Gravik\Neck\Grip\DampedStrings;
use Gravik\Neck\Grip\FingerMoves;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\BassMotion;
use Gravik\Neck\Line\EasierGrip;
use Gravik\Neck\Line\FamilyPlanner;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Line\PathWeights;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Line\TuningConverter;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\Harmoniser;
use Gravik\Neck\Melody\HeldShell;
use Gravik\Neck\Melody\InnerLine;
use Gravik\Neck\Melody\NeckMap;
use Gravik\Neck\Melody\RiffPlanner;
use Gravik\Neck\Neck;
use Gravik\Neck\RetunePlan;
use Gravik\Neck\StatedTuning;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\Frozen;

/** @return array<string, Neck> */
function frozenNecks(): array
{
    return [
        'standard' => new Neck(Tuning::standard()),
        'capo 3' => new Neck(Tuning::standard(), 3),
        'open G' => new Neck(Tuning::parse('D2,G2,D3,G3,B3,D4')),
        'seven' => new Neck(Tuning::usual(7)),
        'four' => new Neck(Tuning::usual(4)),
    ];
}

it('finds, ranks and names grips as it did', function (): void {
    $figures = [];
    $chords = ['C', 'Am', 'G7', 'Fmaj7', 'Dm7', 'B♭13', 'E7♯9', 'F♯m7♭5', 'A♭6/9', 'Bdim7', 'D/F♯', 'E5', 'C7alt', 'Gsus4'];
    foreach (frozenNecks() as $name => $neck) {
        foreach ($name === 'standard' ? $chords : array_slice($chords, 0, 5) as $symbol) {
            $figures["grips {$name} {$symbol}"] = static fn (): array => array_map(
                static fn (Company $company): \Closure => static fn (): mixed => (new VoicingFinder($neck, company: $company))
                    ->find(ChordSymbol::parse($symbol), 6),
                Company::cases(),
            );
        }
        $figures["neck {$name}"] = static fn (): array => [
            array_map(
                $neck->fretMm(...),
                range(0, 15),
            ), array_map($neck->tipMm(...), range(1, 12)), $neck->travelMm(1, 5), $neck->travelMm(9, 2),
            $neck->spanMm(1, 4), $neck->openMidi(), $neck->tuning->keepsStandardIntervals(),
        ];
    }
    $neck = new Neck(Tuning::standard());
    foreach ($chords as $symbol) {
        $chord = ChordSymbol::parse($symbol);
        $figures["more of {$symbol}"] = static fn (): array => [
            static fn (): mixed => (new VoicingFinder($neck))->findFamiliar($chord, 4),
            static fn (): mixed => (new VoicingFinder($neck, new FretRange(5, 12), Company::WithBass, new HandProfile()))->find($chord, 3),
            static fn (): int => count((new VoicingFinder($neck))->all($chord)),
            static fn (): mixed => (new CommonGrips($neck))->of($chord),
            static fn (): mixed => (new InnerLine($neck, new VoicingFinder($neck)))->over($chord),
            array_map(
                static fn (GripKind $kind): \Closure => static fn (): mixed => (
                    new VoicingFinder($neck, company: Company::WithBass, kind: $kind)
                )
                    ->find($chord, 2),
                GripKind::cases(),
            ),
        ];
        $figures["about {$symbol}"] = static function () use ($neck, $chord): array {
            $finder = new VoicingFinder($neck);
            $grip = $finder->find($chord, 1)->best[0];
            $hand = HandProfile::parse('small,no-barre,avoid-4');

            return [
                $grip->degrees(), $grip->notes(), $grip->slash(), $grip->shape(), $grip->difficultySum(), $grip->familyOn($neck),
                DampedStrings::of($grip), (new GripNamer($neck, Key::parse('C major')))->names($grip->frets),
                static fn (): mixed => (new Enricher($neck, $finder, Company::Alone))->of($grip, Key::parse('C major')),
                static fn (): mixed => (new GripMover($finder, Key::parse('C major')))->moved($grip, 2),
                static fn (): mixed => (new GripMover($finder, Key::parse('C major')))->onto($grip, ChordSymbol::parse('E♭7')),
                static fn (): mixed => (new FamilyPlanner($neck, $finder, Key::parse('C major')))->routes($grip),
                static fn (): mixed => (new FamilyPlanner($neck, $finder, Key::parse('C major')))->inOtherFamilies($grip),
                static fn (): mixed => (new EasierGrip(new VoicingFinder($neck, hand: $hand), $hand))->whyNot($grip),
                static fn (): mixed => (new EasierGrip(new VoicingFinder($neck, hand: $hand), $hand))->instead($grip),
                static fn (): mixed => (new TuningConverter(new Neck(Tuning::parse('D2,A2,D3,G3,A3,D4')), new VoicingFinder(
                    new Neck(Tuning::parse('D2,A2,D3,G3,A3,D4'))
                )))->convert($grip),
                Frets::slid($grip->frets, 2), Frets::slid($grip->frets, -1), Frets::raised($grip->frets, 12),
                Frets::raised($grip->frets, 3),
                Frets::onRootOf(ChordSymbol::parse('G'), $grip->frets, $chord),
                static fn (): mixed => (new HeldShell($neck, $grip))->free(),
            ];
        };
    }
    foreach (['x 7 8 7 8 x', '3 2 0 0 0 3', 'x 0 2 2', '9 9 9 9 9 9', '25 x x x x x', 'x x 5 5 5 x', '10 12 12 11 10 10'] as $typed) {
        $figures["typed {$typed}"] = static fn (): array => (new GripNamer($neck, null, ChordSymbol::parse('Am7')))
            ->names(GripNamer::parse($typed, 6));
    }
    Frozen::hold('neck-grips', $figures);
});

it('lays lines, melodies and tunings on the neck as it did', function (): void {
    $figures = [];
    $neck = new Neck(Tuning::standard());
    $lines = ['Dm7 G7 Cmaj7 A7', 'C Am F G', 'B♭7 E♭9 B♭7 B♭9 E♭9 Edim7', 'Em D C B7'];
    $wishes = [
        'free' => new PathWishes(), 'loop' => new PathWishes(loop: true), 'parallel' => new PathWishes(parallel: true),
        'top' => new PathWishes(keepTop: true), 'bass' => new PathWishes(bass: BassMotion::Stepwise),
    ];
    foreach ($lines as $line) {
        foreach ($wishes as $name => $wish) {
            $figures["path {$line} {$name}"] = static function () use ($neck, $line, $wish): array {
                $finder = new VoicingFinder($neck, company: Company::WithBass);
                $candidates = array_map(
                    static fn (string $symbol): array => $finder->find(ChordSymbol::parse($symbol), 12)->best,
                    explode(' ', $line),
                );
                $paths = new PathFinder($neck, $wish);
                $path = $paths->asWished($candidates);

                return [
                    $path->cost, $path->moves, $path->fretsTravelled(), $path->notesHeld(), $paths->elsewhere($candidates, $path)->cost,
                    $paths->costOf(...$path->voicings), array_map(static fn ($grip): string => $grip->text(), $path->voicings),
                    FingerMoves::between($path->voicings[0], $path->voicings[1]),
                    array_map(
                        static fn ($grip): string => $grip->text(),
                        $paths->inLine($candidates[1], $path->voicings[0], $path->voicings[2]),
                    ),
                ];
            };
        }
    }
    $riffs = new RiffPlanner($neck);
    foreach (['6:3 5:2 5:5', '4:5 3:7 2:8', '1:0 1:3', '7:1', '6:18', 'x', ''] as $typed) {
        $figures["riff {$typed}"] = static fn (): array => [
            $riffs->parse($typed), $riffs->places($riffs->parse($typed)),
            static fn (): mixed => (new FigureMover($neck))->overChord(
                array_map(static fn ($note): array => [$note], $riffs->parse($typed)),
                ChordSymbol::parse('G7'),
                ChordSymbol::parse('Cm7'),
                0,
                5,
            ),
            static fn (): mixed => (new FigureMover($neck))->transposed(
                array_map(static fn ($note): array => [$note], $riffs->parse($typed)),
                5,
                1,
                3,
            ),
        ];
    }
    foreach (['C major', 'A minor', 'E♭ major'] as $key) {
        foreach (['E4 G4 | A4 C5', '2:5 2:8 | 1:5 1:8', 'C9', 'x'] as $melody) {
            $figures["melody {$key} {$melody}"] = static function () use ($neck, $key, $melody): array {
                $harmoniser = new Harmoniser($neck, Key::parse($key));
                $typed = array_merge(...$harmoniser->parse($melody));
                $chord = Key::parse($key)->tonicTriad();

                return $harmoniser->harmonise(array_map(static fn (int $midi): array => [$midi, $chord], $typed));
            };
        }
        $map = new NeckMap($neck);
        $chord = Key::parse($key)->tonicTriad();
        $figures["map {$key}"] = static fn (): array => [
            $map->doubleStops(Key::parse($key), $chord), $map->fillZone(Scale::ofKey(Key::parse($key)), $chord, 5),
            (new CapoPlan())->choices(Key::parse($key), [$chord, ChordSymbol::parse('F'), ChordSymbol::parse('B♭m7')]),
            CapoPlan::shapeKey(Key::parse($key), 3), CapoPlan::shapeOf($chord, Key::parse($key), 3),
        ];
    }
    foreach (['C', 'B♭7', 'F♯m', 'D/F♯', 'A♭maj7'] as $symbol) {
        foreach (['C major', 'E♭ minor', 'A major'] as $key) {
            $mover = new GripMover(new VoicingFinder($neck), Key::parse($key));
            $figures["raised {$symbol} {$key}"] = static fn (): array => array_map(
                static fn (int $semitones): string => $mover->raised(ChordSymbol::parse($symbol), $semitones)->text(),
                range(-6, 6),
            );
        }
    }
    foreach (['F2,A2,D3,G3,B3,E4', 'E2,A♯2,D3,G3,B3,F4', 'F2,B♭2,E♭3,A♭3,C4,F4', 'E♭2,A2,D3,F♯3,B3,E4', 'G2,A2,D3,G3,B3,G4'] as $typed) {
        foreach ([[], [6], [1, 5]] as $used) {
            $figures["retuned {$typed} ".implode($used)] = static fn (): array => [
                (new RetunePlan())->plan(Tuning::standard(), Tuning::parse($typed), $used),
                (new RetunePlan())->plan(Tuning::parse($typed), Tuning::standard(), $used),
            ];
        }
    }
    foreach (['standard', 'drop-d', 'D2,A2,D3,F♯3,A3,D4', 'E2,A2', 'C1,C1,C1,C1,C1,C1', 'nothing', 'E2,B2,E3,G♯3,B3,E4'] as $typed) {
        $figures["tuning {$typed}"] = static fn (): array => [
            Tuning::parse($typed), Tuning::parse($typed)->openMidi(2), RetunePlan::usual(Tuning::parse($typed)),
            (new RetunePlan())->plan(Tuning::standard(), Tuning::parse($typed)), (new RetunePlan())->plan(
                Tuning::parse($typed),
                Tuning::standard(),
                [6, 1],
            ),
            StatedTuning::contradictions(Tuning::parse($typed), Tuning::standard()),
        ];
    }
    foreach ([
        'drop the sixth string to D', 'all a half step down', 'D A D G A D', 'open E', 'everything a whole step lower', 'drop d', 'drop c',
        'open d',
        'open g', 'open a', 'open c', 'open d minor', 'open e minor', 'open g minor', 'open c minor', 'open a minor', 'half step down',
        'whole step down',
        'standard', 'double drop d', 'd standard', 'e flat', 'open h', 'dadgad', 'eadgbe', 'E A D', '6 to D', 'low e to d',
    ] as $spoken) {
        $figures["stated {$spoken}"] = static fn (): Tuning => StatedTuning::parse($spoken);
    }
    foreach (
        [
            '',
            'small',
            'medium,thumb',
            'large,no-barre',
            'small,avoid-4',
            'medium,avoid-1,avoid-2',
            'large,avoid-1,avoid-2,avoid-3,avoid-4',
            'x',
        ] as $typed
    ) {
        $figures["hand {$typed}"] = static fn (): array => [
            HandProfile::parse($typed)->text(), HandProfile::parse($typed)->reachMm(), HandProfile::parse($typed)->fingers(),
        ];
    }
    foreach (['6-4', '1', '4,2,1', '7', '0-3', '', '3-3', '6-1'] as $typed) {
        $figures["strings {$typed}"] = static fn (): array => [
            Neck::parseStrings($typed, 6),
            (new PathWishes(strings: $typed))->onStrings(4)->strings,
        ];
    }
    foreach (['0-4', '5-12', '12-5', '0-24', '0-25', 'x'] as $typed) {
        $figures["range {$typed}"] = static fn (): FretRange => FretRange::parse($typed);
    }
    Frozen::hold('neck-lines', $figures);
});

it('builds at the edges what it did', function (): void {
    $figures = [];
    foreach ([-0.1, 0.0, 20.0, 20.1] as $weight) {
        $figures["weight {$weight}"] = static fn (): array => [
            static fn () => new PathWeights($weight), static fn () => new PathWeights(fingers: $weight),
            static fn () => new PathWeights(rank: $weight),
        ];
    }
    foreach ([-1, 0, 11, 12, 13, 24, 25] as $fret) {
        $figures["fret {$fret}"] = static fn (): array => [
            static fn () => (
                new Neck(Tuning::standard(), $fret)
            )->openMidi(), static fn () => new FretRange($fret, 24), static fn () => new FretRange(0, $fret),
        ];
    }
    foreach ([[], [1], [1, 1], [1, 2, 3], [1, 2, 3, 4], [5], [0]] as $number => $fingers) {
        $figures["avoid {$number}"] = static fn (): array => [
            static fn () => (
                new HandProfile('small', avoid: $fingers)
            )->fingers(), static fn () => (new Neck(Tuning::standard(), 0, $fingers))->strings,
        ];
    }
    foreach (['E2', 'E2,A2,D3', 'E2,A2,D3,G3', 'E1,A1,D2,G2', 'B0,E1,A1,D2,G2', 'A0,D1,G1,C2', 'E5,A5,D6,G6', 'D5,G5,C6,F6',
        'E2,A2,D3,G3,B3,E4,A4,D5', 'E2,A2,D3,G3,B3,E4,A4,D5,G5', 'e a d g', 'E A D G B E', 'e2 a2 d3 g3'] as $typed) {
        $figures["tuning {$typed}"] = static fn (): array => [
            static fn () => Tuning::parse($typed), static fn () => StatedTuning::parse($typed),
            static fn () => StatedTuning::contradictions(Tuning::parse($typed), Tuning::standard()),
        ];
    }
    Frozen::hold('neck-edges', $figures);
});
