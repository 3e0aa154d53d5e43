<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Seat;
use Gravik\Breakdown\AnswerFigure;
use Gravik\Breakdown\BalanceNote;
use Gravik\Breakdown\BalanceVerdict;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\CellField;
use Gravik\Breakdown\Change\AnswerPlacer;
use Gravik\Breakdown\Change\BarMover;
use Gravik\Breakdown\Change\CapoMover;
use Gravik\Breakdown\Change\CellSetter;
use Gravik\Breakdown\Change\EndingForker;
use Gravik\Breakdown\Change\EndingRemover;
use Gravik\Breakdown\Change\LibraryFigurePlacer;
use Gravik\Breakdown\Change\MelodyKeeper;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Breakdown\Change\PassMover;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Change\PlaceSetter;
use Gravik\Breakdown\Change\ProfileMaker;
use Gravik\Breakdown\Change\RegisterPlanner;
use Gravik\Breakdown\Change\Retuner;
use Gravik\Breakdown\Change\SeatChanger;
use Gravik\Breakdown\Change\SectionAdder;
use Gravik\Breakdown\Change\SectionMover;
use Gravik\Breakdown\Change\SectionRemover;
use Gravik\Breakdown\Change\SectionSplitter;
use Gravik\Breakdown\Change\Transposer;
use Gravik\Breakdown\Change\TurnaroundFitter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\FigureLibrary;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\Gate;
use Gravik\Breakdown\GenreProfile;
use Gravik\Breakdown\MelodyOverForm;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PassDifferences;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Proofreader;
use Gravik\Chart\Place;
use Gravik\Chart\Turnaround;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Tuning;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Feel;
use Gravik\Time\Meter;

/** @return list<Closure> everything that can be done to a song */
function frozenChanges(Breakdown $song): array
{
    $desk = Desk::of($song);
    [$first, $pass] = [$song->sections[0]->id, $song->passes[0]->id];
    $here = new Place($first, null, 0, 0);

    return [
        ...array_map(static fn (string $key): Closure => static fn (): mixed => (new Transposer())->transpose($song, Key::parse($key)), [
            'A minor', 'E♭ major', 'C♯ minor',
        ]),
        ...array_map(static fn (int $capo): Closure => static fn (): mixed => (new CapoMover())->move($song, $capo), [0, 1, 5, 13]),
        ...array_map(static fn (string $tuning): Closure => static fn (): mixed => (new Retuner())->retune($song, Tuning::parse($tuning)), [
            'standard', 'D2,A2,D3,G3,A3,D4',
        ]),
        static fn (): mixed => (new SectionRemover())->remove($song, $first),
        static fn (): mixed => (new SectionMover())->move($song, $first, 1),
        static fn (): mixed => (new SectionSplitter())->split($song, $first, 1),
        static fn (): mixed => (new SectionAdder())->add($song, '| C | F |'),
        static fn (): mixed => (new SectionAdder())->add($song, '', 'Intro', true),
        static fn (): mixed => (new EndingForker())->fork($song, $first, 1),
        static fn (): mixed => (new EndingRemover())->remove($song, $first, 0), static fn (): mixed => (new PassAdder())->add($song),
        static fn (): mixed => (new PassAdder())->add($song, $pass), static fn (): mixed => (new PassRemover())->remove($song, $pass),
        static fn (): mixed => (new PassMover())->move((new PassAdder())->add($song), $pass, 1),
        static fn (): mixed => (new PartSetter())->add($song, Instrument::Horns),
        static fn (): mixed => (new PartSetter())->remove($song, 'drums'),
        static fn (): mixed => (new SeatChanger())->change((new PartSetter())->add($song, Instrument::SecondGuitar)),
        static fn (): mixed => (new CellSetter())->set($song, $pass, new Cell('guitar', $first, role: Role::Passive, bars: [0])),
        static fn (): mixed => (new CellSetter())->set($song, null, new Cell('guitar', level: 2)),
        static fn (): mixed => (new CellSetter())->set($song, $pass, new Cell('guitar', $first), CellField::cases()),
        ...array_map(static fn ($section): Closure => static fn (): array => [
            ($there = Desk::of($song, $pass, $section->id))->withFeel(Feel::fixed(1.7))->sections,
            $there->withFeel(Feel::straight())->start,
            $there->ruler(), $there->pattern(), $there->line(), $there->setting,
        ], $song->sections),
        static fn (): mixed => (new PlaceSetter())->pattern($desk, null), static fn (): mixed => (new PlaceSetter())->line($desk, null),
        static fn (): mixed => (new PatternChanger())->shape($desk, 2, 4),
        static fn (): mixed => (new PatternChanger())->meter($song, Meter::parse('3/4')),
        static fn (): mixed => (new PatternChanger())->recount($desk, '1 & (2) & 3 & 4 &'),
        ...array_map(
            static fn (AccentProfile $profile): Closure => static fn (): mixed => (new PatternChanger())->profile($desk, $profile, null),
            AccentProfile::cases(),
        ),
        ...array_map(
            static fn (LengthProfile $profile): Closure => static fn (): mixed => (new PatternChanger())->profile($desk, null, $profile),
            LengthProfile::cases(),
        ),
        ...array_map(
            static fn (BarMove $move): Closure => static fn (): mixed => (new BarMover())->move($desk, $here, $move, 3),
            BarMove::cases(),
        ),
        ...array_map(
            static fn (string $slug): Closure => static fn (): mixed => (new LibraryFigurePlacer())->place($desk, $slug, true),
            array_column(FigureLibrary::all(), 'slug'),
        ),
        ...array_map(
            static fn (Turnaround $each): Closure => static fn (): mixed => (new TurnaroundFitter())->fit(
                $song,
                $first,
                $each->slug,
                true,
                true,
            ),
            Turnaround::in($song->start->key),
        ),
        static fn (): mixed => (new MelodyKeeper())->keep(
            $desk,
            '2:5 2:8 | 1:5 1:8',
            0,
        ), static fn (): mixed => (new ProfileMaker())->of($desk, 'Quay'),
        static fn (): mixed => (new MelodyOverForm())->bars($song, 'E4 G4 | A4', 0),
        static fn (): mixed => (new Proofreader())->read($song),
        static fn (): mixed => (new PassDifferences($song))->words(),
        static fn (): mixed => (new PassDifferences((new PassAdder())->add((new PassAdder())->add($song, $pass))))->words(),
        ...array_merge([], ...array_map(static fn ($figure): array => [
            static fn (): mixed => (
                new AnswerFigure($song->neck)
            )->to($figure, 'a1'), static fn (): mixed => (new RegisterPlanner())->plan($song, $figure),
            static fn (): mixed => (new RegisterPlanner())->apply($song, $figure),
            static fn (): mixed => (new AnswerPlacer())->place($song, $figure, $here, 8, $pass),
            static fn (): mixed => (new FigureLayout($song->neck))->hands($figure, ChordSymbol::parse('G7'), Key::parse('C major'), 0),
            static fn (): mixed => (new FigureLayout($song->neck))->pitches($figure, ChordSymbol::parse('Cm7'), Key::parse('E♭ major')),
        ], $song->figures)),
    ];
}

it('changes songs as it did', function (): void {
    $figures = [];
    foreach (['full' => Frozen::full(), 'blank' => Beginning::blank(), ...Frozen::documents(23)] as $name => $song) {
        foreach (frozenChanges($song) as $number => $change) {
            $figures["{$name} {$number}"] = $change;
        }
    }
    foreach (GenreProfile::all() as $profile) {
        $figures["profile {$profile->slug}"] = static fn (): mixed => $profile->over(Beginning::blank());
    }
    foreach ([new Gate(), Gate::advanced()] as $number => $gate) {
        $figures["gate {$number}"] = static fn (): array => [$gate, array_map($gate->isFarOff(...), [0.0, 15.0, 30.1, 45.0, 60.0, -46.0])];
    }
    foreach (
        [
            [-1.0, 5.0, 5.0, 0.1],
            [25.0, 0.0, 5.0, 0.1],
            [25.0, 30.0, 51.0, 0.1],
            [25.0, 30.0, 5.0, 1.1],
            [500.0, 500.0, 50.0, 1.0],
        ] as $number => $told
    ) {
        $figures["gate told {$number}"] = static fn (): Gate => new Gate(...$told);
    }
    Frozen::hold('breakdown', $figures);
});

it('builds at the edges what it did', function (): void {
    $figure = Frozen::full()->figures[0];
    $figures = [];
    foreach ([-3, -2, -1, 0, 1, 2, 3, 4, 8, 9, 20, 21, 24, 25] as $number) {
        $figures["number {$number}"] = static fn (): array => [
            static fn () => new FigureNote($number, 5), static fn () => new FigureNote(1, $number),
            static fn () => new FixedNote(0, 0, $number, 1, 1),
            static fn () => new FixedNote(0, 0, 1, $number, 1), static fn () => new FixedNote(0, 0, 1, 1, $number),
            static fn () => (new FixedNote(0, 0, 1, 1, 12))->shifted($number), static fn () => new Cell('g', level: $number),
            static fn () => new Cell('g', dynamic: $number), static fn () => new Cell('g', 'a', bars: [$number]),
            static fn () => new Cell('g', bars: [0]),
            static fn () => (new PlacedFigure($figure, new Place('a', null, 0, 0), octave: $number))->octave,
            static fn () => (new PlacedFigure($figure, new Place('a', null, 0, 0), near: $number))->near,
            static fn () => new BalanceNote('2026-03-09', Seat::Room, (float) $number, BalanceVerdict::Sits),
        ];
    }
    foreach ([0, 39, 40, 41, 119, 120, 121, 399, 400, 401] as $long) {
        $text = str_repeat('x', $long);
        $figures["long {$long}"] = static fn (): array => [
            static fn () => new Pass('1', $text), static fn () => new Pass('1', '', $text),
            static fn () => new Pass('1', '', '', [], $text),
            static fn () => new Cell('g', note: $text), static fn () => Beginning::blank()->with(genre: $text)->genre,
        ];
    }
    foreach ([[0.0, 20.0, 4.0, 0.0], [0.1, 200.0, 30.0, 1.0], [200.1, 20.0, 4.0, 0.0], [15.0, 200.1, 4.0, 0.0],
        [15.0, 0.0, 4.0, 0.0], [15.0, 20.0, 30.1, 0.0],
        [15.0, 20.0, 0.0, 0.0], [15.0, 20.0, 4.0, -0.1], [15.0, 20.0, 4.0, 1.1], [200.0, 20.0, 4.0, 0.0]] as $number => $told) {
        $figures["gate {$number}"] = static fn (): Gate => new Gate(...$told);
    }
    foreach ([null, 'a'] as $section) {
        foreach ([null, [1], [2]] as $times) {
            foreach ([null, [0]] as $bars) {
                $place = ($section ?? '-').implode($times ?? ['-']).implode($bars ?? ['-']);
                $figures["cell {$place}"] = static function () use ($section, $times, $bars): array {
                    $cell = new Cell('g', $section, $times, Role::Out, level: 2, bars: $section === null ? null : $bars);

                    return [
                        $cell->weight(), $cell->holdsFor('g', 'a', 1), $cell->holdsFor('g', 'b', 2), $cell->holdsFor('k', 'a', 1),
                        $cell->holdsInBar(0), $cell->holdsInBar(1), $cell->telling(), $cell->saysNothing(),
                        $cell->without(CellField::Role)->telling(), $cell->names(CellField::Level), $cell->of('k')->part,
                        $cell->isAt(new Cell('g', $section, $times)),
                    ];
                };
            }
        }
    }
    Frozen::hold('breakdown-edges', $figures);
});
