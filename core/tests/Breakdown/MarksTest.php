<?php

declare(strict_types=1);

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Mark;
use Gravik\Breakdown\Marked;
use Gravik\Breakdown\MarkedValue;
use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\MarkReader;
use Gravik\Breakdown\Proofreader;
use Gravik\Breakdown\RemarkKind;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;

it('says what a mark stands on and what is there now', function (MarkedValue $on, ?string $place, string $value): void {
    $reader = new MarkReader((new BreakdownJson())->read(Examples::full()));
    $mark = new Mark($on, MarkKind::Unsure);

    expect($reader->place($mark))->toBe($place)->and($reader->value($mark))->toBe($value);
})->with([
    'the tempo' => [new MarkedValue(Marked::Song, 'tempo'), 'tempo', '138.5'],
    'a section’s own key' => [new MarkedValue(Marked::Section, 'key', 'b'), 'key of Bridge', 'F major'],
    'the capo' => [new MarkedValue(Marked::Guitar, 'capo'), 'capo', '2'],
    'the set-up' => [new MarkedValue(Marked::Guitar, 'setUp'), 'set-up', 'thumb pick, near the bridge'],
    'a chord' => [new MarkedValue(Marked::Chord, 'symbol', at: new Place('a', 0, 0, 0)), 'chord in bar 3', 'A7'],
    'a grip' => [new MarkedValue(Marked::Grip, 'frets', 'low', new Place('a', null, 0, 0)), 'grip for Dm6 in bar 1', 'x 5 7 4 6 x'],
    'a direction' => [
        new MarkedValue(Marked::Stroke, 'direction', 'p1', stream: 0, tick: 0), 'direction of the stroke on beat 1 in bar 1 of “plain”', 'down',
    ],
    'the picking' => [new MarkedValue(Marked::Pattern, 'school', 'p2'), 'picking of “waltz”', 'pendulum'],
    'a stroke that is gone' => [new MarkedValue(Marked::Stroke, 'accent', 'p1', tick: 7), null, ''],
    'a section that is gone' => [new MarkedValue(Marked::Section, 'line', 'z'), null, ''],
]);

it('refuses marks on what cannot be marked', function (callable $mark, string $says): void {
    expect($mark)->toThrow(BreakdownNotValid::class, $says);
})->with([
    [fn () => new MarkedValue(Marked::Song, 'capo'), 'key, meter'],
    [fn () => new MarkedValue(Marked::Section, 'line'), 'needed'],
    [fn () => new MarkedValue(Marked::Song, 'key', 'a'), 'not needed'],
    [fn () => new MarkedValue(Marked::Grip, 'frets', 'low'), 'needed'],
    [fn () => new Mark(new MarkedValue(Marked::Song, 'key'), MarkKind::Either), 'what else'],
    [fn () => new Mark(new MarkedValue(Marked::Song, 'key'), MarkKind::Colour), 'off their chord'],
]);

it('asks no more about a grip that is marked as colour', function (): void {
    $document = Examples::document(['pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, null, 0, 2, 5, 4]],
    ]]);
    $song = (new BreakdownJson())->read($document);
    $at = new MarkedValue(Marked::Grip, 'frets', $song->lines[0]->id, $song->lines[0]->pins[0]->at);
    $kinds = static fn ($of): array => array_map(static fn ($remark): RemarkKind => $remark->kind, (new Proofreader())->read($of));

    expect($kinds($song))->toContain(RemarkKind::OtherChord)
        ->and($kinds($song->with(marks: [new Mark($at, MarkKind::Colour)])))->not->toContain(RemarkKind::OtherChord)
        ->and($kinds($song->with(marks: [new Mark($at, MarkKind::Unsure)])))->toContain(RemarkKind::OtherChord);
});
