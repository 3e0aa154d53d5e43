<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\BarMover;
use Gravik\Breakdown\Change\PassMover;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\PassDifferences;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Written\CountLine;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** Three bars of a pattern of two, in two passes. */
function gangway(): Breakdown
{
    return (new BreakdownJson())->read([
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm | A7 | Gm |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'patterns' => [['id' => 'p1', 'name' => '', 'meter' => '4/4', 'school' => 'pendulum']
            + (new PatternJson())->write(CountLine::parse('1 2 3 4 | 1 & 2 & 3 & 4 &', Meter::parse('4/4')))],
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full());
}

/** @return list<string> the chords struck in a bar of the song, open strings as their frets */
function chordsStruckIn(Breakdown $song, int $bar): array
{
    return array_map(
        static fn (PlayedStroke $stroke): string => $stroke->voicing->frets === [0, 0, 0, 0, 0, 0] ? 'open' : $stroke->voicing->chord->text(),
        array_values(
            array_filter((new Performer())->perform($song)->strokes, static fn (PlayedStroke $stroke): bool => $stroke->bar === $bar),
        ),
    );
}

it('lays a move over the bar of the pattern that is played there, in one pass, and one move over another', function (): void {
    $desk = Desk::of(gangway(), '2', 'a');
    $pushed = (new BarMover())->move($desk, new Place('a', null, 1, 0), BarMove::Push);
    $both = (new BarMover())->move(Desk::of($pushed, '2', 'a'), new Place('a', null, 1, 0), BarMove::SignalAccent);

    expect(TypedFigure::write($pushed->figures[0]))->toBe(['1 & 2 & 3 & 4 &!>'])
        ->and(chordsStruckIn($pushed, 4))->toBe(['A7', 'A7', 'A7', 'A7', 'A7', 'A7', 'A7', 'Gm'])
        ->and(chordsStruckIn($pushed, 1))->toBe(array_fill(0, 8, 'A7'))
        ->and((new PassDifferences($pushed))->words())->toBe(['', 'As the 1st, but bar 2 “push”.'])
        ->and((new PassDifferences((new PassMover())->move($pushed, '2', 0)))->words())->toBe(['', 'As the 1st, but bar 2 without “push”.'])
        ->and($both->played)->toHaveCount(1)
        ->and(
            [$both->played[0]->figure->name, TypedFigure::write($both->played[0]->figure)],
        )->toBe(['push, signal accent', ['1!! & 2 & 3 & 4 &!>']]);
});

it('keeps a move once, wherever it is laid over bars alike', function (): void {
    $once = (new BarMover())->move(Desk::of(gangway(), '1', 'a'), new Place('a', null, 0, 0), BarMove::OpenStringHop);
    $twice = (new BarMover())->move(Desk::of($once, '1', 'a'), new Place('a', null, 2, 0), BarMove::OpenStringHop);

    expect($twice->figures)->toHaveCount(1)->and($twice->played)->toHaveCount(2)
        ->and(TypedFigure::write($twice->figures[0]))->toBe(['1 2 3 4 &o'])
        ->and(chordsStruckIn($twice, 2))->toBe(['Gm', 'Gm', 'Gm', 'Gm', 'open']);
});
