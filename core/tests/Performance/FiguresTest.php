<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

function figureTyped(string $typed, RelativeTo $to = RelativeTo::Chord, string $over = 'G7', string $key = 'G major'): Figure
{
    $line = FigureLine::parse([$typed], Meter::parse('4/4'));
    $notes = array_map(static fn (array $byStroke): array => array_map(
        static fn (array $own): array => array_map(static fn (array $note): FigureNote => new FigureNote(...$note), $own),
        $byStroke,
    ), $line->notes);

    return new Figure('f1', 'answer', $line->pattern, $notes, ChordSymbol::parse($over), Key::parse($key), $to);
}

/** Two passes of G7 C7 at 120, quarters on the whole grip; the figure where it is told. */
function playedWith(PlacedFigure ...$played): Timeline
{
    return (new Performer())->perform(figureSong(...$played));
}

function figureSong(PlacedFigure ...$played): Breakdown
{
    $song = (new BreakdownJson())->read([
        'start' => ['key' => 'G major', 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing(1)],
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| G7 | C7 |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
        'patterns' => [['id' => 'p1', 'name' => '', 'meter' => '4/4', 'school' => 'all-down']
            + (new Gravik\Formats\PatternJson())->write(Examples::pattern('xxxx', '4/4', 1))],
    ] + Examples::full());

    return $song->with(figures: [$played[0]->figure], played: $played);
}

/** @return list<string> quarter and the fretted strings of every stroke in a bar of the course */
function ownIn(Timeline $timeline, int $bar): array
{
    return array_values(array_map(static function (PlayedStroke $stroke): string {
        $places = array_map(static fn (int $string): string => (6 - $string).':'.$stroke->voicing->frets[$string], $stroke->strings);

        return ($stroke->tick % 3840 / 960 + 1).' '.implode('+', $places);
    }, array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $stroke->bar === $bar)));
}

it('plays a figure in place of the strokes, in the pass that has it alone', function (): void {
    $timeline = playedWith(new PlacedFigure(figureTyped('1=6:3 & 2=5:2 (&) 3=5:5 (4)'), new Place('a', null, 0, 0), ['2'], near: 2));

    expect(ownIn($timeline, 2))->toHaveCount(4)->and(ownIn($timeline, 2)[0])->toBe('1 6:3')->and(ownIn($timeline, 2)[2])->toBe('2 5:2')
        ->and(ownIn($timeline, 2)[3])->toBe('3 5:5')
        // What has no notes of its own strikes the grip.
        ->and(substr_count(ownIn($timeline, 2)[1], ':'))->toBeGreaterThan(2)
        ->and(ownIn($timeline, 0))->toHaveCount(4)->and(ownIn($timeline, 3))->toHaveCount(4);
});

it('carries a figure to the chord that is there, near the hand that holds it', function (): void {
    $timeline = playedWith(new PlacedFigure(figureTyped('1=6:3 (2) 3=5:2 (4)'), new Place('a', null, 1, 0), near: 2));

    expect(ownIn($timeline, 1))->toBe(['1 5:3', '3 4:2'])->and(ownIn($timeline, 3))->toBe(['1 5:3', '3 4:2']);
});

it('keeps a figure that goes with the key where it is, whatever chord is there, and moves it with the key', function (): void {
    $placed = static fn (string $key): PlacedFigure => new PlacedFigure(
        figureTyped('1=6:3 (2) 3=5:2 (4)', RelativeTo::Key, 'G7', $key),
        new Place('a', null, 1, 0),
        near: 2,
    );

    expect(ownIn(playedWith($placed('G major')), 1))->toBe(['1 6:3', '3 5:2'])
        // Typed in F it sounds a whole tone higher in G.
        ->and(ownIn(playedWith($placed('F major')), 1))->toBe(['1 6:5', '3 5:4']);
});

it('plays a figure over the strokes where it is not to be instead of them', function (): void {
    $timeline = playedWith(new PlacedFigure(figureTyped('(1) & (2) (3) (4)'), new Place('a', null, 0, 0), instead: false));

    expect(
        array_map(static fn (string $stroke): string => explode(' ', $stroke)[0], ownIn($timeline, 0)),
    )->toBe(['1', '1.5', '2', '3', '4']);
});

it('lets each note sound until the next of its line, and does to each string what is typed for it alone', function (): void {
    $timeline = playedWith(new PlacedFigure(figureTyped('1=3:4+2:1h3 (2) 3=2:3b5 (4)'), new Place('a', null, 0, 0), near: 1));
    $events = array_values(array_filter($timeline->events, static fn ($event): bool => $event->string !== null && $event->t < 1.5));

    expect(array_map(static fn ($event): array => [$event->string, $event->fret, count($event->glide)], $events))
        ->toBe([[3, 4, 0], [2, 3, 3], [2, 3, 2]])
        ->and($events[0]->t + $events[0]->dur)->toEqualWithDelta(1.0, 1e-6)
        ->and($events[1]->glide[0][1])->toBe(-2.0)->and($events[2]->glide[1][1])->toBe(2.0);
});

it('reads what it writes', function (string $typed): void {
    $line = FigureLine::parse([$typed], Meter::parse('4/4'));

    expect(FigureLine::write($line->pattern, 0, $line->notes[0]))->toBe($typed);
})->with(
    [
        '1=5:3 (&) 2=4:2+3:2 &! 3=4:5h7 (&) (4) &=2:3b5',
        '1 2 3 4',
        '1=1:0p0 (2) (3) (4) | (1) (2) 3x (4)',
        '1=2:8b10 2=2:8B10 3=2:8B10 4=2:8r10',
    ],
);

it('says where a note cannot be read', function (string $typed, int $at): void {
    try {
        FigureLine::parse([$typed], Meter::parse('4/4'));
        $this->fail('it was read');
    } catch (Gravik\Strokes\StrokesException $problem) {
        expect($problem->at())->toBe($at);
    }
})->with([['1=5:3 2=9:1 3 4', 8], ['1=5:3 2=4:1+4 3 4', 12], ['1= 2 3 4', 2], ['1=5:3 2 zwo 3 4', 8]]);

it('plays a note where it was fixed, and the others by rule around it', function (): void {
    $figure = figureTyped('1=6:3 2=5:2 3=5:5+4:5 (4)');
    $fixed = [new FixedNote(0, 960, 5, 6, 7), new FixedNote(0, 1920, 4, 3, 0)];
    $timeline = playedWith(new PlacedFigure($figure, new Place('a', null, 0, 0), near: 2, fixed: $fixed));

    $ofFigure = array_values(array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $stroke->bar === 2));

    expect(ownIn($timeline, 0))->toBe(['1 6:3', '2 6:7', '3 5:5+3:0'])
        ->and(array_map(static fn (PlayedStroke $stroke): array => [$stroke->of?->figure, $stroke->of?->at, $stroke->of?->bar], $ofFigure))
        ->toBe([['f1', 0, 2], ['f1', 960, 2], ['f1', 1920, 2]]);
});

it('thins a figure for learning, and leaves every note that is left its own', function (int $level, array $strokes): void {
    $song = figureSong(new PlacedFigure(figureTyped('1=6:3 &=5:2 2=5:5 e=4:2 &=4:3 (3) (4)'), new Place('a', null, 0, 0), near: 2));

    expect(ownIn((new Performer())->perform($song, level: $level), 0))->toBe($strokes);
})->with([
    [3, ['1 6:3', '1.5 5:2', '2 5:5', '2.25 4:2', '2.5 4:3']],
    [2, ['1 6:3', '1.5 5:2', '2 5:5', '2.5 4:3']],
    [1, ['1 6:3', '2 5:5']],
]);

it('holds single notes where their lowest pressed fret is', function (array $frets, int $position, array $midi): void {
    $grip = Gravik\Performance\Internal\Frets::voicing(Gravik\Harmony\ChordSymbol::parse('Am'), $frets, [40, 45, 50, 55, 59, 64]);

    expect($grip->position)->toBe($position)->and($grip->midi)->toBe($midi);
})->with([
    'open strings alone' => [[null, 0, null, null, null, 0], 0, [null, 45, null, null, null, 64]],
    'the first fret' => [[null, 0, 2, null, 1, null], 1, [null, 45, 52, null, 60, null]],
    'up the neck' => [[null, null, null, 9, 10, null], 9, [null, null, null, 64, 69, null]],
]);
