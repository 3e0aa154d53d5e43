<?php

declare(strict_types=1);

use Gravik\Band\Groove;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\MovePlacer;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Change\PlaceSetter;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Playing;
use Gravik\Chart\VoicingLine;
use Gravik\Formats\BreakdownJson;
use Gravik\Neck\Company;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Stream;
use Gravik\Tests\Support\Examples;

/** @param array<string, mixed> $fields of the full document */
function songWith(array $fields): Breakdown
{
    return (new BreakdownJson())->read($fields + Examples::full());
}

/** @return array{string, string, int, string} pattern, line, level and role of the guitar */
function playedAt(Breakdown $breakdown, string $pass, string $section, int $time = 1): array
{
    $playing = $breakdown->cellFor($pass, $section, 'guitar', $time);

    return [$playing->pattern->id, $playing->line->id, $playing->level, $playing->role->value];
}

it('plays as the nearest cell says: the pass before the song, the one that names more before the other', function (): void {
    $cell = static fn (array $fields): array => ['part' => 'guitar'] + $fields;
    $breakdown = songWith([
        'cells' => [$cell(['level' => 1]), $cell(['section' => 'a', 'level' => 2, 'line' => 'high'])],
        'passes' => [
            ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
            [
                'id' => '2',
                'name' => '',
                'notes' => '',
                'cells' => [$cell(['line' => 'low']), $cell(['section' => 'a', 'times' => [3], 'role' => 'out'])],
            ],
        ],
    ]);

    expect(playedAt($breakdown, '1', 'a'))->toBe(['p1', 'high', 2, 'active'])
        // In another meter than the song's first pattern: the first that fits.
        ->and(playedAt($breakdown, '1', 'b'))->toBe(['p2', 'low', 1, 'active'])
        ->and(playedAt($breakdown, '2', 'a'))->toBe(['p1', 'low', 2, 'active'])
        ->and(playedAt($breakdown, '2', 'a', 3))->toBe(['p1', 'low', 2, 'out'])
        ->and($breakdown->cellFor('2', 'b', 'drums')->groove?->meter->text())->toBe('3/4');
});

it('passes over a groove in another meter than the section’s', function (): void {
    $breakdown = songWith(['cells' => [], 'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []]], 'placed' => []]);

    expect($breakdown->cellFor('1', 'a', 'drums')->groove?->slug)->toBe('shuffle')
        ->and($breakdown->cellFor('1', 'b', 'drums')->groove?->meter->text())->toBe('3/4')
        ->and($breakdown->cellFor('1', 'b', 'drums')->role)->toBe(Role::Active);
});

it('works at a section of a pass, and changes its pattern wherever it is played', function (): void {
    $desk = Desk::of(songWith([]), '2', 'b');
    $changed = $desk->with(Examples::pattern('xxx', '3/4', 1));

    expect([
        $desk->named()->id,
        $desk->setting->meter->text(),
        $desk->setting->key->text(),
        $desk->ruler()->tempo->bpm,
    ])->toBe(['p2', '3/4', 'F major', 90.0])
        ->and($changed->patterns[1]->pattern->strokes())->toHaveCount(3)->and($changed->patterns[0])->toBe($desk->breakdown->patterns[0])
        ->and(fn () => Desk::of(songWith([]), '9'))->toThrow(BreakdownNotValid::class, 'no pass "9"')
        ->and(fn () => Desk::of(songWith([]), '1', 'z'))->toThrow(BreakdownNotValid::class, 'no section "z"');
});

it('plays a pattern at levels 1 to 3 and at no other', function (int $level, bool $there): void {
    $build = static fn () => new Cell('guitar', level: $level);
    $there ? expect($build()->level)->toBe($level) : expect($build)->toThrow(BreakdownNotValid::class, 'levels 1, 2 and 3');
})->with([[0, false], [1, true], [3, true], [4, false]]);

it('takes a counted line for the line of the pattern that is meant, the first where none is', function (): void {
    $desk = Desk::of(songWith([]));
    $strokes = static fn (int ...$line): array => array_map(
        static fn (Stream $stream): int => count($stream->strokes),
        Desk::of((new PatternChanger())->recount($desk, '1 2 3 4 | 1 2 3 4', ...$line))->pattern()->streams,
    );

    expect([$strokes(), $strokes(0), $strokes(1)])->toBe([[8, 1], [8, 1], [1, 8]]);
});

it('writes into the only pass where that tells of its own what is played, so that the change is heard', function (): void {
    $cells = [['part' => 'guitar', 'section' => 'a', 'pattern' => 'p1', 'line' => 'high']];
    $desk = Desk::of(songWith(['passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => $cells]], 'placed' => []]));
    $after = (new PlaceSetter())->line($desk, 'low');

    expect($desk->line()->id)->toBe('high')->and($desk->in($after)->line()->id)->toBe('low')
        ->and($after->passes[0]->cells)->toHaveCount(1)->and($after->cells)->toEqual($desk->breakdown->cells);
});

it('is played alike only where role, strokes, grips, level and groove are the same', function (): void {
    [$low, $high] = [new VoicingLine('l1', 'low', Company::Alone), new VoicingLine('l2', 'high', Company::Alone)];
    [$plain, $other] = [
        new NamedPattern('p1', 'plain', Examples::pattern('x.x.x.x.')),
        new NamedPattern('p2', 'other', Examples::pattern('x.x.x.x.')),
    ];
    $one = new Playing(Role::Active, $plain, $low, 3, Groove::named('shuffle'));

    expect($one->equals(new Playing(Role::Active, $plain, $low, 3, Groove::named('shuffle'))))->toBeTrue()
        ->and(array_map($one->equals(...), [
            new Playing(Role::Out, $plain, $low, 3, Groove::named('shuffle')),
            new Playing(Role::Active, $other, $low, 3, Groove::named('shuffle')),
            new Playing(Role::Active, $plain, $high, 3, Groove::named('shuffle')),
            new Playing(Role::Active, $plain, $low, 2, Groove::named('shuffle')),
            new Playing(Role::Active, $plain, $low, 3, Groove::named('straight-drive')),
            new Playing(Role::Active, $plain, $low, 3, null),
        ]))->each->toBeFalse();
});

it('takes a move out with its last place unless it has a name', function (string $name, int $left): void {
    $breakdown = (new BreakdownJson())->read(
        ['moves' => [['name' => $name] + Examples::full()['moves'][0]], 'placed' => [Examples::full()['placed'][0]]] + Examples::full(),
    );
    $chord = $breakdown->written()->chords[0];
    $without = MovePlacer::without($breakdown, $chord);

    expect($without->placed)->toBe([])->and($without->moves)->toHaveCount($left);
})->with([['walk in', 1], ['', 0]]);
