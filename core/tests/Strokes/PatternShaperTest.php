<?php

declare(strict_types=1);

use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Strokes\SlotGrid;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** Two lines over two bars: a strum, and a thumb on the bass. */
function twoLines(): Pattern
{
    $thumb = array_map(static fn (int $at): Stroke => new Stroke($at, 1, by: PlayedBy::Thumb, strings: Zone::Bass), [0, 960]);

    return new Pattern(
        Meter::parse('4/4'),
        7680,
        [new Stream('strum', [new Stroke(0, 1), new Stroke(480, 2), new Stroke(4320, 2, accent: 3)]), new Stream('thumb', $thumb)],
    );
}

/** @return list<list<int>> ticks of the strokes of each line */
function tickPairsOf(Pattern $pattern): array
{
    return array_map(
        static fn (Stream $stream): array => array_map(static fn (Stroke $stroke): int => $stroke->at, $stream->strokes),
        $pattern->streams,
    );
}

it('copies the bar of a place to the others, in both lines', function (int $at, array $ticks): void {
    expect(tickPairsOf((new PatternShaper())->withBarCopied(twoLines(), $at)))->toBe($ticks);
})->with([
    'the first' => [960, [[0, 480, 3840, 4320], [0, 960, 3840, 4800]]],
    'the second, whose bass rests' => [3840, [[480, 4320], []]],
]);

it('exchanges the rhythms of a beat between the lines, each keeping its strings and what plays them', function (): void {
    $exchanged = (new PatternShaper())->withBeatExchanged(twoLines(), 100);
    [$strum, $thumb] = $exchanged->streams;

    expect(tickPairsOf($exchanged))->toBe([[0, 4320], [0, 480, 960]])
        ->and(array_unique(array_map(static fn (Stroke $stroke): string => $stroke->by->value, $thumb->strokes)))->toBe(['thumb'])
        ->and([$strum->strokes[0]->by, $strum->strokes[0]->strings])->toBe([PlayedBy::Pick, Zone::All])
        ->and((new PatternShaper())->withBeatExchanged(Examples::pattern('xxxx', grid: 1), 0))->toEqual(Examples::pattern('xxxx', grid: 1));
});

it('shows each beat as its strokes divide it, or as it is asked for', function (?int $grid, array $divided, array $divisions): void {
    $slots = SlotGrid::of(
        new Pattern(Meter::parse('2/4'), 1920, [new Stream('s', [new Stroke(0, 1), new Stroke(1280, 3)])]),
        $grid,
        $divided,
    );

    expect(array_column($slots, 'division'))->toBe($divisions)
        ->and(array_keys(array_filter(array_column($slots, 'onBeat'))))->toBe([0, $divisions[0]])
        ->and($slots[$divisions[0]]['at'])->toBe(960);
})->with([[null, [], [3, 3, 3, 3, 3, 3]], [4, [], [4, 4, 4, 4, 4, 4, 4, 4]], [4, [0 => 2], [2, 2, 4, 4, 4, 4]]]);
