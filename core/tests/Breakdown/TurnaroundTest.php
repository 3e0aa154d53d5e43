<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Change\LibraryFigurePlacer;
use Gravik\Breakdown\Change\SectionAdder;
use Gravik\Breakdown\Change\TurnaroundFitter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\FigureLibrary;
use Gravik\Breakdown\FigureNote;
use Gravik\Chart\ChartException;
use Gravik\Chart\ChartLine;
use Gravik\Chart\CourseChord;
use Gravik\Chart\IntroLadder;
use Gravik\Chart\Turnaround;
use Gravik\Chart\UsualForm;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** @param array<string, mixed> $section */
function inKey(string $key, string $line, array $section = [], int $passes = 1): Breakdown
{
    return (new BreakdownJson())->read([
        'start' => ['key' => $key, 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing(1)],
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => $line] + $section],
        'form' => [['section' => 'a', 'times' => 1]],
        'passes' => array_map(
            static fn (int $id): array => ['id' => (string) $id, 'name' => '', 'notes' => '', 'cells' => []],
            range(1, $passes),
        ),
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full());
}

it('fits turnarounds into the last bars of 8, 12 and 16, in any key, so that they come out on time', function (
    string $key,
    string $form,
    string $slug,
): void {
    $usual = array_column(
        array_map(static fn (UsualForm $each): array => [$each->slug, $each], UsualForm::in(Key::parse($key))),
        1,
        0,
    )[$form];
    $before = inKey($key, $usual->sections[0]->line);
    foreach ([false, true] as $home) {
        $after = (new TurnaroundFitter())->fit($before, 'a', $slug, $home, false);
        $last = $after->course()->chords[count($after->course()->chords) - 1]->chord;
        $goal = (Key::parse($key)->tonic->pitchClass() + ($home ? 0 : 7)) % 12;
        // A chord a semitone above the first leads home as V does.
        $leads = $home ? [$goal] : [$goal, ($goal + 6) % 12];

        expect(count($after->course()->bars))->toBe(count($before->course()->bars))
            ->and($leads)->toContain($last->rootPitchClass())
            ->and($after->course()->chords[0]->chord->text())->toBe($before->course()->chords[0]->chord->text());
    }
})->with(['C major', 'E♭ major', 'A minor'])->with(['eight', 'twelve', 'sixteen'])->with(
    ['two-five', 'dim-passing', 'chromatic-dominants', 'tritones', 'plain'],
);

it('offers the colours by which one note stays on top of falling dominants', function (): void {
    $fitted = (new TurnaroundFitter())->fit(
        inKey('C major', '| C7 | F7 | C7 | G7 | C7 | % | % | % |'),
        'a',
        'chromatic-dominants',
        false,
        true,
    );

    expect($fitted->sections[0]->line)->toBe('| C7 | F7 | C7 | G7 | C7 B11 | B♭7♯11 A7 | Dm7 | G7 |')
        ->and(TurnaroundFitter::coloured('| C6 A7 | Dm7 G7 |'))->toBe('| C6 A7 | Dm7 G7 |');
});

it('writes into the ending that leads back, or the one that goes home, as much as it has room for', function (): void {
    $forked = inKey(
        'C major',
        '| C7 | F7 |',
        ['endings' => [['times' => [1], 'line' => '| C7 | G7 |'], ['times' => [], 'passes' => ['2'], 'line' => '| C7 |']]],
        2,
    );
    $back = (new TurnaroundFitter())->fit($forked, 'a', 'two-five', false, false);
    $home = (new TurnaroundFitter())->fit($back, 'a', 'two-five', true, false);

    expect(array_column($home->sections[0]->endings, 'line'))->toBe(['| C6 A7 | Dm7 G7 |', '| C6 |'])
        ->and($home->sections[0]->endings[1]->passes)->toBe(['2'])->and($home->sections[0]->line)->toBe('| C7 | F7 |');
});

it('refuses what there is no room for, and what there is not', function (string $section, string $slug): void {
    expect(static fn () => (new TurnaroundFitter())->fit(inKey('C major', '| C7 |'), $section, $slug, false, false))
        ->toThrow($section === 'a' ? ChartException::class : BreakdownNotValid::class);
})->with([['a', 'two-five'], ['a', 'cartwheel'], ['z', 'two-five']]);

it('adds sections by the next letter, and an intro that comes in the first pass alone', function (): void {
    $song = (new SectionAdder())->add((new SectionAdder())->add(inKey('C major', '| C7 |', [], 2), '| F7 |'), '| G7 |', 'Intro', true);

    expect(array_column($song->sections, 'name'))->toBe(['Intro', 'A', 'B'])
        ->and(
            array_map(static fn (CourseChord $chord): string => $chord->chord->text(), $song->course()->chords),
        )->toBe(['G7', 'C7', 'F7', 'C7', 'F7'])
        ->and((new SectionAdder())->add(inKey('C major', '| C7 |'), '| G7 |', 'Intro', true)->form[0]->passes)->toBeNull();
});

it('slides an intro down in four ways to the first chord, and marks where they differ', function (): void {
    $ladders = IntroLadder::to(ChordSymbol::parse('E9'), Key::parse('A major'));

    expect(array_map(static fn (IntroLadder $each): string => $each->line(), $ladders))->toBe([
        '| B♭9 G♯9 | F♯9 E9 |', '| A9 G9 | F9 E9 |', '| G9 F♯9 | F9 E9 |', '| C♯9 B♭9 | G9 E9 |',
    ])->and(array_column($ladders, 'other'))->toBe([[], [0, 1, 2], [0, 1, 2], [0, 1, 2]]);
});

it('plays figures of the library in any key on any neck, at the intervals they are made of', function (string $key, string $tuning): void {
    $neck = new Neck(Tuning::parse($tuning));
    $open = $neck->openMidi();
    foreach (array_keys(FigureLibrary::all()) as $slug) {
        $figure = FigureLibrary::figure($slug, 'f1', Key::parse($key), $neck, 5);
        $sounds = array_map(
            static fn (array $notes): array => array_map(
                static fn (FigureNote $note): int => $open[count($open) - $note->string] + $note->fret,
                $notes,
            ),
            array_values($figure->notes[0]),
        );
        $first = $sounds[0][0];
        $above = array_map(static fn (array $step): array => array_map(static fn (int $midi): int => $midi - $first, $step), $sounds);

        expect($above)->toBe(match ($slug) {
            'pedal-chromatic' => [[0, 2], [-1, 2], [-2, 2], [-3, 2]],
            'sixths-down' => [[0, 8], [-1, 7], [-2, 6], [-4, 5]],
            'thirds-down' => [[0, 3], [-2, 2], [-4, 0], [-5, -2], [-7, -4], [-9, -5], [-10, -7], [-9, -5]],
            'bass-walk' => [[0], [4], [5], [6], [7]],
            default => throw new LogicException("{$slug} is new: say what it is made of"),
        })->and($figure->pattern->bars())->toBe(FigureLibrary::all()[$slug]['bars']);
    }
})->with([['C major', 'standard'], ['E major', 'standard'], ['B♭ major', 'standard'], ['D minor', 'dadgad']]);

it('plays a figure of the library in the last bars of a section, in one pass or in all', function (): void {
    $song = inKey('G major', '| G7 | C7 | G7 | D7 |', [], 2);
    $all = (new LibraryFigurePlacer())->place(Desk::of($song), 'sixths-down', false);
    $one = (new LibraryFigurePlacer())->place(Desk::of($song, '2'), 'bass-walk', true);

    expect([$all->played[0]->at->bar, $all->played[0]->passes, $all->figures[0]->name])->toBe([2, null, 'Sixths down'])
        ->and([$one->played[0]->at->bar, $one->played[0]->passes])->toBe([2, ['2']])
        ->and(static fn () => (new LibraryFigurePlacer())->place(Desk::of($song), 'cartwheel', false))->toThrow(BreakdownNotValid::class);
});

it('can be read back in every key', function (string $key): void {
    foreach (Turnaround::in(Key::parse($key)) as $each) {
        foreach ([true, false] as $home) {
            $read = (new ChartLine(Key::parse($key), Meter::parse('4/4')))->read($each->line($home));

            expect([$each->slug, $read->problems])->toBe([$each->slug, []])->and($read->bars)->not->toBe([]);
        }
    }
})->with(['C', 'D♭', 'D', 'E♭', 'E', 'F', 'G♭', 'G', 'A♭', 'A', 'B♭', 'B', 'C minor', 'E♭ minor', 'A♭ minor', 'G♯ minor']);
