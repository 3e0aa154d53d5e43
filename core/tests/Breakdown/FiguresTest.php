<?php

declare(strict_types=1);

use Gravik\Breakdown\AnswerFigure;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\AnswerPlacer;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\Change\LineExchanger;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Change\Retuner;
use Gravik\Breakdown\Change\SectionRemover;
use Gravik\Breakdown\Change\SectionSplitter;
use Gravik\Breakdown\Change\Transposer;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Failure\BeatDividedTwice;
use Gravik\Breakdown\Failure\FigureHasOneLine;
use Gravik\Breakdown\Failure\FigureNotPossible;
use Gravik\Breakdown\Failure\NoRoomForAnswer;
use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Strokes\School;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** @param string $typed a second line after a slash */
function gull(string $typed = '1=6:3 2=5:2 3=5:5 (4)', string $over = 'G7'): Gravik\Breakdown\Figure
{
    return TypedFigure::read(
        'f9',
        'gull',
        explode(' / ', $typed),
        Meter::parse('4/4'),
        ChordSymbol::parse($over),
        Key::parse('G major'),
        RelativeTo::Chord,
    );
}

/** @param array<string, mixed> $fields */
function quayside(array $fields = []): Breakdown
{
    $full = Examples::full();
    $full['lines'] = [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []], ['id' => 'high'] + $full['lines'][1]];
    $full['lines'][1]['wishes'] = ['keepTop' => false, 'window' => '0-15'] + $full['lines'][1]['wishes'];

    return (new BreakdownJson())->read($fields + $full);
}

/** @return list<array{string, int, ?list<string>}> section, bar and passes */
function whereFigures(Breakdown $breakdown): array
{
    return array_map(static fn (PlacedFigure $each): array => [$each->at->section, $each->at->bar, $each->passes], $breakdown->played);
}

it('keeps a figure once, another wording of it wherever it is played', function (): void {
    $song = (new BreakdownJson())->read(Examples::full());
    $kept = (new FigurePlacer())->place((new FigureKeeper())->keep($song, gull()), new PlacedFigure(gull(), new Place('a', null, 0, 0)));
    $reworded = (new FigureKeeper())->keep($kept, gull('1=6:3 (2) (3) (4)'));

    expect(array_column($reworded->figures, 'id'))->toBe(['f1', 'f9'])
        ->and(TypedFigure::write($reworded->played[1]->figure))->toBe(['1=6:3 (2) (3) (4)'])
        ->and((new FigureKeeper())->forget($reworded, 'f9')->played)->toHaveCount(1)
        ->and((new FigureKeeper())->forget($reworded, 'f9')->figures)->toHaveCount(1);
});

it('plays one figure at a place in each pass, and leaves other passes their own', function (): void {
    $song = (new PassAdder())->add((new FigureKeeper())->keep((new BreakdownJson())->read(Examples::full()), gull()));
    $at = new Place('a', null, 0, 0);
    $all = (new FigurePlacer())->place($song->with(played: []), new PlacedFigure(gull(), $at));
    $other = (new FigurePlacer())->place($all, new PlacedFigure($song->figures[0], $at, ['2']));

    expect(whereFigures($other))->toBe([['a', 0, ['1', '3']], ['a', 0, ['2']]])
        ->and(whereFigures((new FigurePlacer())->clear($other, $at, ['2', '3'])))->toBe([['a', 0, ['1']]])
        ->and(whereFigures((new FigurePlacer())->clear($other, $at, null)))->toBe([])
        ->and(whereFigures((new FigurePlacer())->clear($other, new Place('a', null, 1, 0), null)))->toHaveCount(2);
});

it('lets figures go along with the bars they are played in, and out with their section', function (): void {
    $song = (new BreakdownJson())->read(Examples::full());

    expect(whereFigures((new SectionSplitter())->split($song, 'a', 1)))->toBe([['s3', 0, ['2']]])
        ->and(whereFigures((new SectionRemover())->remove($song, 'a')))->toBe([]);
});

it('keeps the notes of figures in another tuning', function (): void {
    $song = (new FigureKeeper())->keep(quayside(['guitar' => ['tuning' => 'standard', 'capo' => 0]]), gull());
    $sounds = static fn (Breakdown $of): array => array_map(static function (array $notes) use ($of): array {
        $open = $of->neck->openMidi();

        return array_map(static fn ($note): int => $open[count($open) - $note->string] + $note->fret, $notes);
    }, $of->figures[1]->notes[0]);

    expect($sounds((new Retuner())->retune($song, Tuning::parse('dadgad'))))->toBe($sounds($song));
});

it('says at which hands all of a figure lies under the fingers', function (): void {
    $layout = new FigureLayout(new Neck(Tuning::standard()));
    $hands = $layout->hands(gull(), ChordSymbol::parse('G7'), Key::parse('G major'), 0);

    expect($hands)->not->toBe([]);
    $ways = [];
    foreach ($hands as $near) {
        $laid = array_merge(...array_merge(...$layout->of(gull(), ChordSymbol::parse('G7'), Key::parse('G major'), 0, $near)));
        $frets = array_filter(array_map(static fn (?RiffNote $note): int => $note->fret ?? -1, $laid));
        expect(min($frets))->toBeGreaterThanOrEqual($near)->and(max($frets))->toBeLessThanOrEqual($near + 3);
        $ways[] = json_encode($laid);
    }
    expect(array_unique($ways))->toHaveCount(count($hands));
});

it('knows the chord that is written at a place, or goes on there, and its grip', function (): void {
    $desk = Desk::of(quayside());

    expect($desk->chordAt(new Place('a', null, 0, 960))?->chord->text())->toBe('Dm6')
        ->and($desk->chordAt(new Place('a', 1, 0, 1920))?->chord->text())->toBe('A7')
        ->and($desk->chordAt(new Place('a', 1, 0, 1919))?->chord->text())->toBe('Gm')
        ->and($desk->chordAt(new Place('a', null, 7, 0)))->toBeNull()
        ->and($desk->gripAt(new Place('a', null, 0, 0), $desk->tools()->voiced()))->toEqual($desk->tools()->voiced()->path->voicings[0])
        ->and($desk->gripAt(new Place('a', null, 7, 0), $desk->tools()->voiced()))->toBeNull();
});

it('carries fixed notes with the song, and lets go of those that another wording has not any more', function (): void {
    $song = (new FigureKeeper())->keep(quayside(), gull());
    $fixed = [new FixedNote(0, 0, 6, 5, 10), new FixedNote(0, 960, 5, 6, 23)];
    $placed = (new FigurePlacer())->place($song->with(played: []), new PlacedFigure(gull(), new Place('a', null, 0, 0), fixed: $fixed));
    $frets = static fn (Breakdown $of): array => array_map(
        static fn (FixedNote $each): string => "{$each->string}:{$each->fret}",
        $of->played[0]->fixed,
    );

    expect($frets((new Transposer())->transpose($placed, Key::parse('E minor'))->breakdown))->toBe(['5:12'])
        ->and($frets((new FigureKeeper())->keep($placed, gull('1=6:5 2=4:2 (3) (4)'))))->toBe(['5:10'])
        ->and($frets((new Retuner())->retune($placed, Tuning::parse('dadgad'))))->toBe([]);
});

it('fixes only notes that a figure has, each of a stroke on a string of its own', function (FixedNote ...$fixed): void {
    expect(static fn () => new PlacedFigure(gull('1=6:3+5:2 (2) (3) (4)'), new Place('a', null, 0, 0), fixed: $fixed))
        ->toThrow(FigureNotPossible::class);
})->with([
    'another tick' => [new FixedNote(0, 960, 6, 5, 1)],
    'another string' => [new FixedNote(0, 0, 4, 5, 1)],
    'both on one string' => [new FixedNote(0, 0, 6, 4, 1), new FixedNote(0, 0, 5, 4, 3)],
    'one twice' => [new FixedNote(0, 0, 6, 4, 1), new FixedNote(0, 0, 6, 3, 3)],
]);

it('hands a stretch of one line over to the other, and back', function (string $typed, float $from, float $until, array $lines): void {
    [$at, $to] = [(int) (960 * $from), (int) (960 * $until)];
    $exchanged = (new LineExchanger())->exchange(gull($typed), $at, $to);

    expect(TypedFigure::write($exchanged))->toBe($lines)
        ->and(TypedFigure::write((new LineExchanger())->exchange($exchanged, $at, $to)))->toBe(explode(' / ', $typed));
})->with([
    'a quarter-note triplet goes under the chords' => [
        '1=1:3 (trip) let=1:5 (2) trip=1:7 (let) 3=1:8 (4) / (1) (2) 3 4', 0, 2,
        ['(1) (2) 3=1:8 (4)', '1=1:3 (trip) let=1:5 (2) trip=1:7 (let) 3 4'],
    ],
    'what both strike changes places' => [
        '1=1:3 2=1:5 (3) (4) / (1) 2=6:3 3=6:5 (4)',
        1,
        3,
        ['1=1:3 2=6:3 3=6:5 (4)', '(1) 2=1:5 (3) (4)'],
    ],
]);

it('hands over no part of a beat that would leave halves and thirds in one, and nothing where there is one line', function (): void {
    $mixed = gull('1=1:3 &=1:5 (2) (3) (4) / 1 trip let (2) (3) (4)');

    expect(static fn () => (new LineExchanger())->exchange($mixed, 480, 481))->toThrow(BeatDividedTwice::class)
        ->and(static fn () => (new LineExchanger())->exchange(gull(), 0, 960))->toThrow(FigureHasOneLine::class);
});

it('answers in the same rhythm and comes home, or after the one where strokes stand alone', function (string $call, string $answer): void {
    $neck = new Neck(Tuning::standard());

    expect(TypedFigure::write((new AnswerFigure($neck))->to(gull($call), 'f10')))->toBe([$answer]);
})->with([
    'from the third below' => ['1=6:3 2=5:2 (3) (4)', '1=6:3 2=6:3 (3) (4)'],
    'from the root to the fifth' => ['1=5:5 2=4:5 (3) (4)', '1=5:5 2=5:5 (3) (4)'],
    'strokes' => ['1 & 2 (3) 4', '(1) & 2 (3) 4!.'],
]);

it('lays call and answer by turns over the chosen bars, and needs room for both', function (): void {
    $song = (new FigureKeeper())->keep(quayside()->with(played: []), gull());
    $placed = (new AnswerPlacer())->place($song, gull(), new Place('a', null, 0, 0), 3, '2');

    expect(array_map(static fn (PlacedFigure $each): array => [$each->at->bar, $each->figure->name, $each->passes], $placed->played))
        ->toBe([[0, 'gull', ['2']], [1, 'answer to gull', ['2']], [2, 'gull', ['2']]])
        ->and(
            (new AnswerPlacer())->place($placed, gull(), new Place('a', null, 0, 0), 2, '1')->figures,
        )->toHaveCount(count($placed->figures))
        ->and(static fn () => (new AnswerPlacer())->place($song, gull(), new Place('a', null, 0, 0), 1, '2'))
        ->toThrow(static fn (NoRoomForAnswer $problem) => expect([$problem->bars, $problem->needed])->toBe([1, 2]));
});

it('works at the strokes of a figure in place of the pattern, and keeps its notes by their order or tick', function (
    string $recounted,
    string $typed,
): void {
    $song = (new FigureKeeper())->keep(quayside(), gull('1=6:3 & 2=5:2 3=5:5 (4)'));
    $desk = Desk::of($song)->atFigure('f9');
    $changed = (new PatternChanger())->recount($desk, $recounted);

    expect($desk->named()->id)->toBe('f9')
        ->and($desk->school())->toBe(School::Pendulum)
        ->and(TypedFigure::write($changed->figure('f9')))->toBe([$typed])
        ->and($changed->patterns)->toEqual($song->patterns)
        ->and($desk->in($changed)->pattern())->toEqual($changed->figure('f9')->pattern);
})->with([
    'as many strokes' => ['1 2! (3) & 4x', '1=6:3 2! (3) &=5:2 4x=5:5'],
    'fewer' => ['1 (2) 3 (4)', '1=6:3 (2) 3=5:5 (4)'],
]);
