<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\EndingForker;
use Gravik\Breakdown\Change\EndingRemover;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Breakdown\Change\PlaceSetter;
use Gravik\Breakdown\Change\SectionMover;
use Gravik\Breakdown\Change\SectionRemover;
use Gravik\Breakdown\Change\SectionSplitter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ChartException;
use Gravik\Chart\CourseChord;
use Gravik\Chart\Ending;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;

/** A song whose first section has endings, pins in both, a walk, and cells; its repeats do not ask for a common top. */
function quay(array $fields = []): Breakdown
{
    $full = Examples::full();
    $full['lines'][0]['wishes'] = ['keepTop' => false, 'bass' => 'free', 'window' => '0-15'] + $full['lines'][0]['wishes'];

    return (new BreakdownJson())->read($fields + $full);
}


it('splits a section in two that are played as the one was, with the same grips', function (): void {
    $before = quay();
    $after = (new SectionSplitter())->split($before, 'a', 1);
    $symbols = static fn (Breakdown $of): array => array_map(
        static fn (CourseChord $chord): string => $chord->chord->text(),
        $of->course()->chords,
    );

    expect($symbols($after))->toBe($symbols($before))
        ->and(array_map(
            static fn ($section): array => [$section->id, $section->name, $section->line, count($section->endings)],
            $after->sections,
        ))
        ->toBe([['a', 'Verse', '| Dm6 |', 0], ['s3', 'Verse 2', '| Dm6 |', 2], ['b', 'Bridge', '| F | C |', 0]])
        ->and(array_map(static fn ($entry): string => $entry->section, $after->form))->toBe(['a', 's3', 'a', 's3', 'b', 'a', 's3'])
        // The pinned Dm6 stays in the first part, the A7 of the second ending goes along to the second.
        ->and(array_map(static fn ($pin): string => "{$pin->at->section} {$pin->symbol}", $after->lines[0]->pins))->toBe(['a Dm6', 's3 A7'])
        ->and(Toolbox::of($after)->voiced()->loose)->toBe([])
        ->and(array_map(static fn (Cell $cell): ?string => $cell->section, $after->passes[1]->cells))->toBe(['a', 's3', 'b', 's3']);
});

it('splits what is said of single bars with them, and begins the second part as loud as it was there', function (): void {
    $document = Examples::full();
    $document['sections'][1] += [
        'dynamics' => [['bar' => 0, 'level' => 1], ['bar' => 1, 'level' => 4]],
        'words' => [['bar' => 0, 'text' => 'the tide'], ['bar' => 1, 'text' => 'is in']],
    ];
    $document['passes'][1]['cells'][] = ['part' => 'guitar', 'section' => 'b', 'bars' => [0, 1], 'texture' => 'rings'];
    $after = (new SectionSplitter())->split((new BreakdownJson())->read($document), 'b', 1);
    $written = (new BreakdownJson())->write($after);

    expect($written['sections'][1]['dynamics'])->toBe([['bar' => 0, 'level' => 1]])
        ->and($written['sections'][2]['dynamics'])->toBe([['bar' => 0, 'level' => 4]])
        ->and($written['sections'][2]['words'])->toBe([['bar' => 0, 'text' => 'is in']])
        ->and(array_map(static fn (Cell $cell): array => [$cell->section, $cell->bars], array_slice($after->passes[1]->cells, -2)))
        ->toBe([['b', [0]], ['s3', [0]]]);
});

it('splits a later section where it stands', function (): void {
    expect(array_column((new SectionSplitter())->split(quay(), 'b', 1)->sections, 'id'))->toBe(['a', 'b', 's3'])
        ->and(array_column((new SectionSplitter())->split(quay(), 'b', 1)->sections, 'line'))->toBe(['| Dm6 | % |', '| F |', '| C |']);
});

it('refuses to split where no second part would begin', function (string $id, int $bar, string $class): void {
    expect(fn () => (new SectionSplitter())->split(quay(), $id, $bar))->toThrow($class);
})->with([['a', 0, ChartException::class], ['a', 2, ChartException::class], ['z', 1, BreakdownNotValid::class]]);

it('moves a section, and a plain form with it; any other form stays as it was laid down', function (): void {
    $plain = quay(['sections' => [
        ['id' => 'a', 'name' => 'A', 'line' => '| D |'],
        ['id' => 'b', 'name' => 'B', 'line' => '| G |'],
        ['id' => 'c', 'name' => 'C', 'line' => '| A |'],
    ],
        'form' => array_map(static fn (string $id): array => ['section' => $id, 'times' => 1], ['a', 'b', 'c'])]);
    $order = static fn (Breakdown $of): array => [array_column($of->sections, 'id'), array_column($of->form, 'section')];

    expect($order((new SectionMover())->move($plain, 'c', 0)))->toBe([['c', 'a', 'b'], ['c', 'a', 'b']])
        ->and($order((new SectionMover())->move($plain, 'a', 9)))->toBe([['b', 'c', 'a'], ['b', 'c', 'a']])
        ->and($order((new SectionMover())->move(quay(), 'b', 0)))->toBe([['b', 'a'], ['a', 'b', 'a']])
        ->and(fn () => (new SectionMover())->move($plain, 'z', 0))->toThrow(BreakdownNotValid::class, 'no section "z"');
});

it('gives a section a pattern of its own, in the pass that is worked at or in the song that has one', function (): void {
    $setter = new PlaceSetter();
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm |'], ['name' => 'B', 'line' => '| A7 |']]]);
    $own = $setter->pattern(Desk::of($song, null, 's2'), null);
    $inPass = $setter->line(Desk::of(quay(), '1', 'a'), 'high');
    $both = $setter->line(Desk::of($own, null, 's2'), null);

    expect([Desk::of($own, null, 's1')->named()->id, Desk::of($own, null, 's2')->named()->id])->toBe(['p1', 'p2'])
        ->and($own->patterns[1]->name)->toBe('B')->and($own->patterns[1]->pattern)->toEqual($song->patterns[0]->pattern)
        ->and([Desk::of($inPass, '1', 'a')->line()->id, Desk::of($inPass, '1', 'b')->line()->id])->toBe(['high', 'low'])
        // One cell says both.
        ->and($both->cells)->toHaveCount(1)->and([$both->cells[0]->pattern, $both->cells[0]->line])->toBe(['p2', 'l2'])
        ->and(fn () => $setter->pattern(Desk::of($song), 'p9'))->toThrow(BreakdownNotValid::class, '"p9" is none of the patterns');
});

it('goes once through the first section that is left, where the form had only the one taken out', function (): void {
    $breakdown = quay([
        'sections' => [
            ['id' => 'a', 'name' => 'A', 'line' => '| D |'],
            ['id' => 'b', 'name' => 'B', 'line' => '| G |'],
            ['id' => 'c', 'name' => 'C', 'line' => '| A |'],
        ],
        'form' => [['section' => 'c', 'times' => 2]],
    ]);
    $left = (new SectionRemover())->remove($breakdown, 'c');

    expect(array_map(static fn ($entry): array => [$entry->section, $entry->times], $left->form))->toBe([['a', 1]]);
});

it('forks the last bars of a section into two endings, and joins them again as they were', function (): void {
    $plain = quay(['sections' => [
        ['id' => 'a', 'name' => 'A', 'line' => '| Dm6 | % | A7 | Dm |'],
        ['id' => 'b', 'name' => 'B', 'line' => '| F | C |', 'from' => ['meter' => '3/4']],
    ], 'lines' => [['pins' => [
        ['at' => ['section' => 'a', 'ending' => null, 'bar' => 2, 'tick' => 0], 'symbol' => 'A7', 'frets' => [null, 0, 2, 0, 2, 0]],
    ]] + Examples::full()['lines'][0], Examples::full()['lines'][1]]]);
    $forked = (new EndingForker())->fork($plain, 'a', 2);
    $third = (new EndingForker())->fork($forked, 'a', 2);
    $section = $third->sections[0];

    expect([$section->line, array_column($section->endings, 'line'), array_column($section->endings, 'times')])
        ->toBe(['| Dm6 | % |', ['| A7 | Dm |', '| A7 | Dm |', '| A7 | Dm |'], [[1], [2], [3]]])
        ->and([$forked->lines[0]->pins[0]->at->ending, $forked->lines[0]->pins[0]->at->bar])->toBe([0, 0]);
    $joined = (new EndingRemover())->remove((new EndingRemover())->remove($third, 'a', 2), 'a', 1);
    expect([$joined->sections[0]->line, $joined->sections[0]->endings])->toBe(['| Dm6 | % | A7 | Dm |', []])
        ->and([$joined->lines[0]->pins[0]->at->ending, $joined->lines[0]->pins[0]->at->bar])->toBe([null, 2]);
});

it('ends the last pass otherwise where a section comes once in each, and lets the ending go with its pass', function (): void {
    $once = quay(['sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm6 | A7 |']], 'form' => [['section' => 'a', 'times' => 1]],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'cells' => [], 'placed' => []]);
    $forked = (new EndingForker())->fork($once, 'a', 1);
    $ends = $forked->sections[0]->with(endings: [$forked->sections[0]->endings[0], new Ending([], '| Dm |', ['2'])]);
    $song = $forked->with(sections: [$ends]);
    $copied = (new PassAdder())->add($song, '2');

    expect($forked->sections[0]->endings[1]->passes)->toBe(['2'])
        ->and(
            array_map(static fn (CourseChord $chord): string => $chord->chord->text(), $song->course()->chords),
        )->toBe(['Dm6', 'A7', 'Dm6', 'Dm'])
        ->and($copied->sections[0]->endings[1]->passes)->toBe(['2', '3'])
        ->and((new PassRemover())->remove($copied, '2')->sections[0]->endings[1]->passes)->toBe(['3'])
        ->and((new PassRemover())->remove($song, '2')->sections[0]->line)->toBe('| Dm6 | A7 |');
});

it('lets a section that came once come twice where it is to end in two ways', function (): void {
    $one = quay(['sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm6 | A7 |']], 'form' => [['section' => 'a', 'times' => 1]],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []]], 'cells' => [], 'placed' => []]);

    expect((new EndingForker())->fork($one, 'a', 1)->form[0]->times)->toBe(2)
        ->and(static fn () => (new EndingForker())->fork($one, 'a', 2))->toThrow(ChartException::class)
        ->and(static fn () => (new EndingForker())->fork($one, 'z', 1))->toThrow(BreakdownNotValid::class);
});
