<?php

declare(strict_types=1);

use Gravik\Chart\Bar;
use Gravik\Chart\ChartException;
use Gravik\Chart\ChartLine;
use Gravik\Chart\ChartProblem;
use Gravik\Chart\Failure\SectionNotSplittable;
use Gravik\Chart\Form;
use Gravik\Chart\FormChord;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\Key;
use Gravik\Neck\NeckException;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

function chartLine(string $key = 'D minor', string $meter = '4/4'): ChartLine
{
    return new ChartLine(Key::parse($key), Meter::parse($meter));
}

/** Each bar as "Dm6:4" or "Gm7:2 A7:2", beats after the colon; – for silence. */
function barsOf(string $line, string $meter = '4/4', string $key = 'D minor'): array
{
    $beat = Meter::parse($meter)->beatTicks();

    return array_map(static fn (Bar $bar): string => implode(' ', array_map(
        static fn ($chord): string => ($chord->chord?->text() ?? '–').':'.$chord->ticks / $beat,
        $bar->chords,
    )), chartLine($key, $meter)->read($line)->bars);
}

it('reads bars between strokes and shares the beats', function (string $line, array $bars, string $meter): void {
    expect(barsOf($line, $meter))->toBe($bars)->and(chartLine('D minor', $meter)->read($line)->problems)->toBe([]);
})->with([
    'two chords share a bar' => ['| Dm6 | B♭7 | Gm7 A7 | Dm6 |', ['Dm6:4', 'B♭7:4', 'Gm7:2 A7:2', 'Dm6:4'], '4/4'],
    'outer strokes may be left out' => ['Dm6 | A7', ['Dm6:4', 'A7:4'], '4/4'],
    'three in four: the first takes what is over' => ['| Dm Gm A7 |', ['Dm:2 Gm:1 A7:1'], '4/4'],
    'slashes count beats' => ['| Dm / / A7 |', ['Dm:3 A7:1'], '4/4'],
    'a repeated bar' => ['| Dm A7 | % | Gm |', ['Dm:2 A7:2', 'Dm:2 A7:2', 'Gm:4'], '4/4'],
    'silence' => ['| N.C. | Dm |', ['–:4', 'Dm:4'], '4/4'],
    'a waltz' => ['| Dm / A7 |', ['Dm:2 A7:1'], '3/4'],
    'twelve eight has four beats' => ['| Dm A7 |', ['Dm:2 A7:2'], '12/8'],
    'empty bar lines make no bars' => ['| | Dm | | |', ['Dm:4'], '4/4'],
    'numerals beside letters' => ['| i6 | VI7 | Gm7 V7 |', ['Dm6:4', 'B♭7:4', 'Gm7:2 A7:2'], '4/4'],
    'nothing typed' => ['', [], '4/4'],
]);

it('marks what it cannot read at its place and reads the rest', function (string $line, int $at, int $length, int $bar, string $message, ?string $nearest): void {
    $reading = chartLine()->read($line);
    $problem = $reading->problems[0];

    expect([$problem->at, $problem->length, $problem->bar, $problem->nearest])->toBe([$at, $length, $bar, $nearest])
        ->and($problem->message)->toContain($message)
        ->and(mb_substr($line, $problem->at, $problem->length))->not->toBe('');
})->with([
    'a stray letter' => ['| Dm6 | Ebv9 | Gm |', 10, 2, 1, 'is no chord ending', 'E♭9'],
    'after a flat sign, counted in characters' => ['| B♭7 | Gmx |', 10, 1, 1, 'is no chord ending', 'Gm'],
    'a note that is none' => ['| Hm7 |', 2, 3, 0, 'does not start with a note', 'Bm7'],
    'too many chords for the bar' => ['| Dm Gm A7 Dm Gm |', 2, 14, 0, '5 places for the 4 beats of 4/4', null],
    'slashes that do not add up' => ['| Dm / / |', 2, 6, 0, 'does not add up', null],
    'a repeat with nothing before it' => ['| % | Dm |', 2, 1, 0, 'nothing before it to repeat', null],
    'a repeat among chords' => ['| Dm | % A7 |', 7, 1, 1, 'mixes %', null],
    'a slash before any chord' => ['| / Dm / / |', 2, 1, 0, 'starts with /', null],
]);

it('keeps all other bars when one cannot be read', function (): void {
    expect(barsOf('| Dm6 | Ebv9 | Gm7 Hx | A7 |'))->toBe(['Dm6:4', '–:4', 'Gm7:2 –:2', 'A7:4']);
});

it('carries the typed line to another key and leaves everything else as it was typed', function (string $line, string $to, string $carried): void {
    expect(chartLine()->carriedTo(Key::parse($to), $line))->toBe($carried);
})->with([
    ['| Dm6 | B♭7 |  Gm7   A7 | % |', 'E minor', '| Em6 | C7 |  Am7   B7 | % |'],
    'numerals and words stay' => ['i6 | VI7 | N.C. | / Dm/C', 'F minor', 'i6 | VI7 | N.C. | / Fm/E♭'],
    'what cannot be read stays' => ['| Dm | blue |', 'C minor', '| Cm | blue |'],
]);

it('refuses a line that is a book', function (): void {
    chartLine()->read(str_repeat('| Dm ', 1000));
})->throws(ChartException::class, 'too long to be one section');

it('does not fall over any text', function (string $line): void {
    expect(chartLine()->read($line)->bars)->toBeArray();
})->with(['|||||', "\0\x01", '🎸 | 🎸', "Dm\n|\tA7", '| \\ |', "\xC3\x28 | Dm", str_repeat('/', 50), '%%%', '| '.str_repeat('D', 300).' |']);

function songIn(string $key): Setting
{
    return new Setting(Key::parse($key), Meter::parse('4/4'), new Tempo(120), Feel::straight());
}

it('lays sections end to end', function (): void {
    $form = Form::of([new Section('a', 'A', '| Dm | A7 |'), new Section('b', 'B', '| Gm Dm |')], songIn('D minor'));

    expect(array_map(
        static fn (FormChord $chord): array => [$chord->at->section, $chord->at->bar, $chord->at->tick, $chord->bar, $chord->chord->text()],
        $form->chords,
    ))->toBe([
        ['a', 0, 0, 0, 'Dm'], ['a', 1, 0, 1, 'A7'], ['b', 0, 0, 2, 'Gm'], ['b', 0, 1920, 2, 'Dm'],
    ])->and($form->bars)->toHaveCount(3);
});

it('refuses more bars than anybody writes out', function (): void {
    Form::of([new Section('a', 'A', str_repeat('|D', 500))], songIn('D'));
})->throws(ChartException::class, '500 bars are more than');

it('moves a pinned grip the shorter way along the neck, or lets it go', function (array $frets, int $semitones, ?array $moved): void {
    expect((new Pin(new Place('s1', null, 0, 0), 'X', $frets))->movedBy($semitones, 'Y')?->frets)->toBe($moved);
})->with([
    'up' => [[null, 5, 4, 5, 5, null], 2, [null, 7, 6, 7, 7, null]],
    'down is shorter' => [[null, 5, 4, 5, 5, null], 10, [null, 3, 2, 3, 3, null]],
    'down would leave the neck' => [[null, 2, 1, 2, 2, null], 10, [null, 12, 11, 12, 12, null]],
    'half way goes up' => [[null, 5, 4, 5, 5, null], 6, [null, 11, 10, 11, 11, null]],
    'not at all' => [[3, 2, 0, 0, 0, 3], 0, [3, 2, 0, 0, 0, 3]],
    'open strings stay behind' => [[3, 2, 0, 0, 0, 3], 2, null],
    'nowhere to go' => [[1, null, null, 4, 15, null], 1, null],
]);

it('refuses pins that are no grips', function (array $frets): void {
    new Pin(new Place('s1', null, 0, 0), 'Dm', $frets);
})->with([[[1, 2]], [[1, 2, 3, 4, 5, 99]]])->throws(NeckException::class);

it('gives each problem a place of its own', function (): void {
    expect(array_map(
        static fn (ChartProblem $problem): int => $problem->bar,
        chartLine()->read('| Ho | Dm | Xy |')->problems,
    ))->toBe([0, 2]);
});

it('splits a line before any bar but the first, and says where it cannot', function (int $bar, ?array $parts): void {
    $split = static fn (): array => (new ChartLine(Key::parse('C major'), Meter::parse('4/4')))->splitAt('| C | F♯dim | % |', $bar);

    $parts === null ? expect($split)->toThrow(SectionNotSplittable::class, 'bar 2 to 3') : expect($split())->toBe($parts);
})->with([[0, null], [1, ['| C |', '| F♯dim | % |']], [2, ['| C | F♯dim |', '| F♯dim |']], [3, null]]);

it('says in which bar a repeat sign stands among chords', function (): void {
    $problem = (new ChartLine(Key::parse('C major'), Meter::parse('4/4')))->read('| C | % F |')->problems[0];

    expect([$problem->bar, $problem->message])->toBe(
        [1, 'Bar 2 mixes % with chords. A bar is either repeated with % alone or written out.'],
    );
});

it('says how a bar does not add up, and leaves it silent with the rest of the line alive', function (): void {
    $reading = chartLine()->read('| Dm | Gm A7 Dm C F | Dm |');

    expect(array_map(static fn (ChartProblem $problem): array => [$problem->bar, $problem->message], $reading->problems))
        ->toBe([[1, 'Bar 2 does not add up: 5 places for the 4 beats of 4/4.']])
        ->and(barsOf('| Dm | Gm A7 Dm C F | Dm |'))->toBe(['Dm:4', '–:4', 'Dm:4']);
});

it('lets a pin hold four strings to eight', function (int $strings, bool $fits): void {
    $pin = static fn (): Pin => new Pin(new Place('a', null, 0, 0), 'Dm', array_fill(0, $strings, 1));
    $fits ? expect($pin()->frets)->toHaveCount($strings) : expect($pin)->toThrow(NeckException::class);
})->with([[3, false], [4, true], [8, true], [9, false]]);
