<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Proofreader;
use Gravik\Breakdown\Remark;
use Gravik\Breakdown\RemarkKind;
use Gravik\Chart\Place;
use Gravik\Tests\Support\Examples;

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

it('has nothing to say where all is well, and changes nothing by itself', function (): void {
    $breakdown = typedGrips('G major', [['C9', [null, 3, 2, 3, 3, null]], ['D9', [null, 5, 4, 5, 5, null]], ['G', [3, 2, 0, 0, 0, 3]]]);
    $before = serialize($breakdown->lines[0]->pins);

    expect((new Proofreader())->read($breakdown))->toBe([])->and(serialize($breakdown->lines[0]->pins))->toBe($before);
});
