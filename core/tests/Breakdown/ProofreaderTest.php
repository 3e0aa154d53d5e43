<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Proofreader;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\Remark;
use Gravik\Breakdown\RemarkKind;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** @param list<array{string, list<int|null>}> $grips symbol and frets, a bar each */
function proofread(string $key, array $grips): array
{
    return (new Proofreader())->read(typedGrips($key, $grips));
}

function typedGrips(string $key, array $grips): Breakdown
{
    return Examples::breakdown([
        'key' => $key, 'company' => 'with-bass',
        'sections' => [['name' => 'A', 'line' => '| '.implode(' | ', array_column($grips, 0)).' |']],
        'pins' => array_map(
            static fn (array $grip, int $bar): array => [
                'section' => 0,
                'bar' => $bar,
                'at' => 0,
                'symbol' => $grip[0],
                'frets' => $grip[1],
            ],
            $grips,
            array_keys($grips),
        ),
    ]);
}

it('finds one string that stayed behind when a grip was moved, and proposes the fret', function (): void {
    $remarks = proofread('G major', [['C9', [null, 3, 2, 3, 3, null]], ['D9', [null, 5, 4, 3, 5, null]]]);

    expect($remarks)->toHaveCount(1)
        ->and($remarks[0]->kind)->toBe(RemarkKind::StaleFret)
        ->and($remarks[0]->text)->toContain('string 3 stayed at fret 3')
        ->and($remarks[0]->place)->toEqual(new Place('s1', null, 1, 0))
        ->and($remarks[0]->fixes[0]['breakdown']->lines[0]->pins[1]->frets)->toBe([null, 5, 4, 5, 5, null]);
});

it('asks when a grip sounds another chord than its name, with the nearest fix first', function (): void {
    $remarks = proofread('C major', [['C', [null, 3, 2, 0, 2, 0]]]);

    expect($remarks[0]->kind)->toBe(RemarkKind::OtherChord)
        ->and($remarks[0]->text)->toContain('the chart says C')
        ->and($remarks[0]->fixes[0]['breakdown']->lines[0]->pins[0]->frets)->toBe([null, 3, 2, 0, 1, 0]);
});

it('sees a fret that stands on the string beside the right one', function (): void {
    $fixes = proofread('C major', [['C', [null, 3, 2, 1, 0, 0]]])[0]->fixes;
    expect(array_map(
        static fn (array $fix): array => $fix['breakdown']->lines[0]->pins[0]->frets,
        $fixes,
    ))->toContain([null, 3, 2, 0, 1, 0]);
});

it('asks about a diminished chord that is none', function (): void {
    expect(proofread('C major', [['Bdim7', [null, 2, 3, 2, 3, null]]])[0]->kind)->toBe(RemarkKind::NotDiminished);
});

it('says when no hand can hold what was typed', function (): void {
    $remarks = proofread('C major', [['C', [8, null, 2, 0, 1, 0]]]);
    expect(array_map(static fn (Remark $remark): RemarkKind => $remark->kind, $remarks))->toBe([RemarkKind::NoHand])
        ->and($remarks[0]->text)->toContain('mm');
});

it('asks once about a root outside the key', function (): void {
    $remarks = (new Proofreader())->read(Examples::breakdown([
        'key' => 'C major',
        'sections' => [['name' => 'A', 'line' => '| C | F♯ | F♯ | G |']],
    ]));
    expect(array_map(static fn (Remark $remark): RemarkKind => $remark->kind, $remarks))->toBe([RemarkKind::OutsideKey])
        ->and($remarks[0]->text)->toContain('F♯');
});

it('holds strings named in words against the tuning, from either side, and offers the tuning named', function (string $words, array $offers): void {
    $json = new BreakdownJson();
    $song = $json->read(['notes' => $words] + Examples::document(['sections' => [['name' => 'A', 'line' => '| C |']], 'key' => 'C major']));
    $remarks = (new Proofreader())->read($song);

    expect(array_map(static fn (Remark $remark): RemarkKind => $remark->kind, $remarks))->toBe($offers === [''] ? [] : [RemarkKind::OtherStrings])
        ->and(array_column($remarks[0]->fixes ?? [['text' => '']], 'text'))->toBe($offers);
    foreach ($remarks[0]->fixes ?? [] as $fix) {
        expect((new Proofreader())->read($fix['breakdown']))->toBe([]);
    }
})->with([
    'as it is tuned' => ['Strings E A D G B E, nothing to do.', ['']],
    'from the top' => ['E B G D A E', ['']],
    'lowered' => ['Low string down: D A D G B E.', ['Tune to Drop D']],
    'by half a tone, with signs' => ['E♭-A♭-D♭-G♭-B♭-E♭', ['Tune to Half step down']],
    'as nobody has it' => ['D A D G C E', []],
    'a chord line is no list' => ['| C | F | G | C | then A D G B E A B', ['']],
]);

it('asks about notes struck together that are none of the chord, until they are marked as colour', function (string $typed, int $asked): void {
    $figure = TypedFigure::read('f1', 'drizzle', [$typed], Meter::parse('4/4'), ChordSymbol::parse('Dm7'), Key::parse('C major'), RelativeTo::Chord);
    $song = (new FigureKeeper())->keep(Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm7 |']], 'key' => 'C major']), $figure);
    $remarks = (new Proofreader())->read($song);

    expect($remarks)->toHaveCount($asked);
    if ($asked > 0) {
        expect($remarks[0]->kind)->toBe(RemarkKind::OffChord)->and($remarks[0]->text)->toContain('“drizzle”')->toContain('on beat 2 (E and A♭)')
            ->and((new Proofreader())->read($remarks[0]->fixes[0]['breakdown']))->toBe([]);
    }
})->with([
    'on the chord' => ['1=2:6+1:5 2=2:6+1:5 3 4', 0],
    'one of them off it' => ['1=2:6+1:5 2=2:5+1:5 3 4', 0],
    'both off it' => ['1=2:6+1:5 2=2:5+1:4 3 4', 1],
    'a single note passes' => ['1=2:6 2=1:4 3 4', 0],
]);

it('has nothing to say where all is well, and changes nothing by itself', function (): void {
    $breakdown = typedGrips('G major', [['C9', [null, 3, 2, 3, 3, null]], ['D9', [null, 5, 4, 5, 5, null]], ['G', [3, 2, 0, 0, 0, 3]]]);
    $before = serialize($breakdown->lines[0]->pins);

    expect((new Proofreader())->read($breakdown))->toBe([])->and(serialize($breakdown->lines[0]->pins))->toBe($before);
});
