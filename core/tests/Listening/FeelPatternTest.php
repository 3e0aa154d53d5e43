<?php

declare(strict_types=1);

use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelPattern;
use Gravik\Listening\Feel\HeardBars;
use Gravik\Listening\Feel\SwingHeard;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\LatencyCheck;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Tapped\BeatTaps;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * Bars of eighths at 120: X hard, x firm, o soft, c dead, . none; each bar takes the next of the lines.
 *
 * @param non-empty-list<string> $lines
 *
 * @return list<PlayedOnset>
 */
function bars(array $lines, int $count): array
{
    $taps = [];
    for ($bar = 0; $bar < $count; $bar++) {
        foreach (str_split($lines[$bar % count($lines)]) as $slot => $sign) {
            if ($sign !== '.') {
                $taps[] = new PlayedOnset(
                    2 * $bar + 0.25 * $slot,
                    null,
                    $sign === 'c',
                    ['X' => 5.0, 'x' => 0.0, 'o' => -6.0, 'c' => 0.0][$sign],
                );
            }
        }
    }

    return $taps;
}

/** @param list<PlayedOnset> $taps */
function figureOf(array $taps): ?Gravik\Strokes\Pattern
{
    return FeelPattern::of((new FeelMeter())->measure($taps, Meter::parse('4/4'), new Tempo(120), 0.0, 2));
}

it('writes down the figure that comes back, with its accents and its dead strokes', function (): void {
    $strokes = figureOf(bars(['x.Xc.xXo'], 8))?->streams[0]->strokes ?? [];

    expect(array_map(static fn (Stroke $stroke): int => $stroke->at, $strokes))->toBe([0, 960, 1440, 2400, 2880, 3360])
        ->and(array_map(static fn (Stroke $stroke): int => $stroke->accent, $strokes))->toBe([1, 2, 1, 1, 2, 0])
        ->and(array_map(
            static fn (Stroke $stroke): string => $stroke->articulation->value,
            $strokes,
        ))->toBe(['ring', 'ring', 'chuck', 'ring', 'ring', 'ring']);
});

it('counts every bar of a recording as it was played, an empty one too', function (): void {
    $heard = bars(['x.Xc.xXx', '........', 'x.x.x.x.'], 6);

    expect(HeardBars::counted((new FeelMeter())->measure($heard, Meter::parse('4/4'), new Tempo(120), 0.0, 2)))->toBe([
        '1 (&) 2! &x (3) & 4! &', '(1) (2) (3) (4)', '1 (&) 2 (&) 3 (&) 4 (&)',
        '1 (&) 2! &x (3) & 4! &', '(1) (2) (3) (4)', '1 (&) 2 (&) 3 (&) 4 (&)',
    ]);
});

it('leaves out what comes once in a while, and writes two bars where every other bar goes another way', function (): void {
    $rare = bars(['x.x.x.x.', 'x.x.x.x.', 'x.x.x.xx', 'x.x.x.x.'], 8);

    expect(CountLine::write(figureOf($rare) ?? throw new LogicException()))->toBe(CountLine::write(figureOf(bars(['x.x.x.x.'], 8)) ?? throw new LogicException()))
        ->and(figureOf($rare)?->bars())->toBe(1)
        ->and(figureOf(bars(['x.x.x.x.', 'x.xx.x.x'], 8))?->bars())->toBe(2);
});

it('reads tempo and first beat from beats tapped along, a beat left out included', function (): void {
    $beats = BeatTaps::of([1.0, 1.61, 2.19, 3.4, 4.0, 4.61, 5.2]);

    expect($beats->tempo->bpm)->toEqualWithDelta(100, 0.4)
        ->and($beats->firstBeat)->toEqualWithDelta(1.0, 0.01)
        ->and(fn () => BeatTaps::of([1.0, 1.5]))->toThrow(ListeningException::class, '2 beats are too few');
});

it('says how sure it is of a swing, and from where it is one', function (float $ratio, float $width, int $pairs, bool $sure, bool $straight): void {
    $swing = new SwingHeard($ratio, $ratio - $width / 2, $ratio + $width / 2, array_fill(0, $pairs, $ratio));

    expect($swing->isSure())->toBe($sure)->and($swing->isStraight())->toBe($straight)->and($swing->pairs())->toBe($pairs);
})->with([
    'many pairs, close together' => [2.0, 0.2, 20, true, false],
    'few pairs' => [2.0, 0.1, 5, false, false],
    'far apart' => [1.5, 0.6, 30, false, false],
    'as good as even' => [1.05, 0.1, 30, true, true],
    'just leaning' => [1.25, 0.1, 30, true, false],
]);

it('measures a delay from the clicks a microphone hears, and says when it hears too few', function (): void {
    $clicks = array_map(static fn (int $number): float => 0.4 + 0.6 * $number, range(0, 15));
    $strokes = array_map(
        static fn (float $click, int $number): HeardStroke => new HeardStroke($click + 0.073 + ($number % 3 - 1) * 0.001, 0.0, 0.02, true),
        $clicks,
        array_keys($clicks),
    );

    expect(LatencyCheck::heard($clicks, $strokes)->latencyMs)->toEqualWithDelta(73, 0.01)
        ->and(LatencyCheck::heard($clicks, [new HeardStroke(0.1, 0.0, 0.02, true), ...$strokes])->spreadMs)->toBeLessThan(2.0)
        ->and(fn () => LatencyCheck::heard($clicks, array_slice($strokes, 0, 5)))->toThrow(
            ListeningException::class,
            'heard 5 of the 16 clicks',
        );
});

it('takes a stroke for dead where most of its rounds were, half of them are not most', function (): void {
    $kinds = static fn (array $lines): array => array_map(
        static fn (Stroke $stroke): string => $stroke->articulation->value,
        figureOf(bars($lines, 12))?->streams[0]->strokes ?? [],
    );

    expect($kinds(['x.c.x.x.', 'x.c.x.x.', 'x.x.x.x.'])[1])->toBe('chuck')
        ->and($kinds(['x.c.x.x.', 'x.x.x.x.', 'x.x.x.x.'])[1])->toBe('ring');
});
