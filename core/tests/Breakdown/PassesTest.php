<?php

declare(strict_types=1);

use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\CellField;
use Gravik\Breakdown\Change\CellSetter;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Breakdown\Change\PassMover;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PassDifferences;
use Gravik\Breakdown\Playing;
use Gravik\Breakdown\Texture;
use Gravik\Chart\CourseBar;
use Gravik\Chart\SungWords;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Tests\Support\Examples;

/** Twelve bars of one section in two passes, with two patterns. */
function twelve(): Breakdown
{
    $pattern = static fn (string $id, string $slots): array => ['id' => $id, 'name' => '', 'meter' => '4/4', 'school' => 'pendulum']
        + (new PatternJson())->write(Examples::pattern($slots));
    $line = '| D7 | G7 | D7 | D7 | G7 | G7 | D7 | D7 | A7 | G7 | D7 | A7 |';

    return (new BreakdownJson())->read([
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => $line]],
        'form' => [['section' => 'a', 'times' => 1]],
        'patterns' => [$pattern('p1', 'x.x.x.x.'), $pattern('p2', 'x...x...')],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => []]],
        'moves' => [], 'placed' => [], 'cells' => [],
    ] + Examples::full());
}

/** @return list<Playing> bar by bar of a pass */
function playedIn(Breakdown $breakdown, string $pass): array
{
    return array_map(static fn (int $bar): Playing => $breakdown->cellFor($pass, 'a', 'guitar', 1, $bar), range(0, 11));
}

/** @param array<string, mixed> $told */
function set(Breakdown $breakdown, ?string $pass, array $told, array $asAbove = []): Breakdown
{
    return (new CellSetter())->set($breakdown, $pass, new Cell('guitar', ...$told), $asAbove);
}

it('says something of single bars of a pass, and of the other bars and passes nothing', function (): void {
    $set = set(twelve(), '2', ['section' => 'a', 'bars' => [8, 9], 'texture' => Texture::Written, 'note' => 'with the brass']);

    expect(array_map(static fn (Playing $playing): string => $playing->texture->value, playedIn($set, '2')))
        ->toBe([...array_fill(0, 8, 'pattern'), 'written', 'written', 'pattern', 'pattern'])
        ->and(array_map(static fn (Playing $playing): string => $playing->texture->value, playedIn($set, '1')))
        ->toBe(array_fill(0, 12, 'pattern'))
        ->and($set->passes[1]->cells)->toHaveCount(1)->and($set->passes[1]->cells[0]->note)->toBe('with the brass');
});

it('changes one bar of several that were told alike, and puts together again what then says the same', function (): void {
    $rings = set(twelve(), '2', ['section' => 'a', 'bars' => [3, 6, 7], 'texture' => Texture::Rings]);
    $one = set($rings, '2', ['section' => 'a', 'bars' => [6], 'texture' => Texture::Free]);
    $back = set($one, '2', ['section' => 'a', 'bars' => [6], 'texture' => Texture::Rings]);
    $none = set($rings, '2', ['section' => 'a', 'bars' => [3, 6, 7]], [CellField::Texture]);

    expect(array_map(static fn (Cell $cell): array => [$cell->bars, $cell->texture], $one->passes[1]->cells))
        ->toBe([[[3, 7], Texture::Rings], [[6], Texture::Free]])
        ->and(array_map(static fn (Cell $cell): ?array => $cell->bars, $back->passes[1]->cells))->toBe([[3, 6, 7]])
        ->and($none->passes[1]->cells)->toBe([]);
});

it('does not say what is so anyway, and follows when what stands above changes', function (): void {
    $song = set(twelve(), null, ['section' => 'a', 'pattern' => 'p2']);
    $same = set($song, '2', ['section' => 'a', 'pattern' => 'p2', 'level' => 2]);
    $changed = set($same, null, ['section' => 'a', 'pattern' => 'p1']);

    expect($same->passes[1]->cells[0]->pattern)->toBeNull()->and($same->passes[1]->cells[0]->level)->toBe(2)
        ->and(playedIn($changed, '2')[0]->pattern->id)->toBe('p1')
        ->and(set($same, '2', ['section' => 'a', 'level' => 3])->passes[1]->cells)->toBe([]);
});

it('lets bars go before the section, and the section before the pass', function (): void {
    $set = set(set(set(twelve(), '2', ['dynamic' => -1]), '2', ['section' => 'a', 'level' => 1]), '2', [
        'section' => 'a', 'bars' => [4], 'role' => Role::Out,
    ]);
    $bars = playedIn($set, '2');

    expect([$bars[4]->role, $bars[4]->level, $bars[4]->dynamic])->toBe([Role::Out, 1, -1])
        ->and([$bars[5]->role, $bars[5]->level, $bars[5]->dynamic])->toBe([Role::Active, 1, -1]);
});

it('adds, copies, moves and takes passes out', function (): void {
    $set = set(twelve(), '2', ['section' => 'a', 'level' => 2]);
    $copied = (new PassAdder())->add((new PassAdder())->add($set), '2');
    $ids = static fn (Breakdown $of): array => array_column($of->passes, 'id');

    expect($ids($copied))->toBe(['1', '2', '4', '3'])
        ->and($copied->cellFor('4', 'a', 'guitar')->level)->toBe(2)->and($copied->cellFor('3', 'a', 'guitar')->level)->toBe(3)
        ->and($ids((new PassMover())->move($copied, '4', 0)))->toBe(['4', '1', '2', '3'])
        ->and($ids((new PassRemover())->remove($copied, '1')))->toBe(['2', '4', '3'])
        ->and(static fn () => (new PassRemover())->remove((new PassRemover())->remove($set, '1'), '2'))
        ->toThrow(BreakdownNotValid::class, 'only pass')
        ->and(static fn () => (new PassAdder())->add($set, 'nobody'))->toThrow(BreakdownNotValid::class);
});

it('plays one pass alone as it is played in the song', function (Breakdown $song): void {
    $of = static function (Breakdown $played, string $id): array {
        $timeline = (new Performer())->perform($played);
        $bars = $timeline->course->bars;
        $inPass = static fn (CourseBar $bar): bool => $timeline->course->visits[$bar->visit]->pass === $id;
        $first = array_values(array_filter($bars, $inPass))[0]->tick;

        return array_values(array_map(
            static fn (PlayedStroke $stroke): array => [$stroke->tick - $first, $stroke->stroke->direction, $stroke->strings, $stroke->voicing->frets],
            array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $inPass($bars[$stroke->bar])),
        ));
    };
    foreach ($song->passes as $pass) {
        $alone = (new PassRemover())->keepOnly($song, $pass->id);
        expect($alone->passes)->toHaveCount(1)->and($of($alone, $pass->id))->toEqual($of($song, $pass->id))->not->toBe([]);
    }
    expect(static fn () => (new PassRemover())->keepOnly($song, 'nobody'))->toThrow(BreakdownNotValid::class);
})->with(fn (): array => array_map(static fn (Breakdown $song): array => [$song], Database\Seeders\DemoSongs::all()));

it('lets what was placed in one pass go along with its copy, and out with it', function (): void {
    $full = (new BreakdownJson())->read(Examples::full());
    $copied = (new PassAdder())->add($full, '2');

    expect($copied->placed[0]->passes)->toBe(['2', '3'])
        ->and((new PassRemover())->remove($copied, '2')->placed[0]->passes)->toBe(['3'])
        ->and((new PassRemover())->remove($full, '2')->placed)->toBe([]);
});

it('says what is different from the pass before', function (array $told, string $words): void {
    $breakdown = twelve();
    foreach ($told as $each) {
        $breakdown = set($breakdown, '2', $each);
    }

    expect((new PassDifferences($breakdown))->words())->toBe(['', $words]);
})->with([
    'nothing' => [[], 'As the 1st.'],
    'a level' => [[['level' => 2]], 'As the 1st, but level 2.'],
    'bars, and loudness all through' => [
        [[
            'section' => 'a',
            'bars' => [8, 9],
            'texture' => Texture::Written,
        ], ['section' => 'a', 'bars' => [0, 1, 2, 6], 'texture' => Texture::Rings],
            ['section' => 'a', 'dynamic' => 1]],
        'As the 1st, but bars 1–3, 7 ringing only; bars 9–10 as written; louder.',
    ],
    'a bar left out, and other strokes' => [
        [['section' => 'a', 'bars' => [11], 'role' => Role::Out], ['pattern' => 'p2']],
        'As the 1st, but bar 12 out; strokes 2.',
    ],
]);

it('lets names, notes and words be as long as they fit, and no longer', function (Closure $build, bool $fits): void {
    $fits ? expect($build())->toBeObject() : expect($build)->toThrow(Exception::class);
})->with([
    'a name of forty' => [static fn () => new Pass('1', str_repeat('a', 40), str_repeat('b', 400), [], str_repeat('c', 40)), true],
    'a name of forty-one' => [static fn () => new Pass('1', str_repeat('a', 41)), false],
    'a lead of forty-one' => [static fn () => new Pass('1', lead: str_repeat('a', 41)), false],
    'notes of four hundred and one' => [static fn () => new Pass('1', notes: str_repeat('a', 401)), false],
    'words of a hundred and twenty' => [static fn () => new SungWords(0, str_repeat('a', 120)), true],
    'words of one more' => [static fn () => new SungWords(0, str_repeat('a', 121)), false],
    'a note of a hundred and twenty' => [static fn () => new Cell('guitar', note: str_repeat('a', 120), dynamic: -2), true],
    'a note of one more' => [static fn () => new Cell('guitar', note: str_repeat('a', 121)), false],
    'three levels louder' => [static fn () => new Cell('guitar', dynamic: 3), false],
    'bars of no section' => [static fn () => new Cell('guitar', bars: [1]), false],
    'a bar before the first' => [static fn () => new Cell('guitar', 'a', bars: [-1]), false],
]);

it('looks nearer the more a cell names: bars before sections, sections before times', function (): void {
    expect((new Cell('guitar', 'a', bars: [1]))->weight())->toBeGreaterThan((new Cell('guitar', 'a', [1]))->weight())
        ->and((new Cell('guitar', 'a'))->weight())->toBeGreaterThan((new Cell('guitar', null, [1]))->weight())
        ->and((new Cell('guitar', null, [1]))->weight())->toBeGreaterThan((new Cell('guitar'))->weight());
});
