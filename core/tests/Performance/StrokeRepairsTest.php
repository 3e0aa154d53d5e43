<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Toolbox;
use Gravik\Performance\Performer;
use Gravik\Performance\Repair;
use Gravik\Performance\ResetAccents;
use Gravik\Performance\StrokeFaults;
use Gravik\Performance\StrokeRepairs;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Tests\Support\Examples;

/** @param list<array<string, mixed>> $strokes of one line, or of two lines where each has a name */
function struck(array $strokes, array $fields = []): Breakdown
{
    $streams = array_is_list($strokes)
        ? [['name' => 'strum', 'strokes' => $strokes]]
        : array_map(static fn (string $name): array => ['name' => $name, 'strokes' => $strokes[$name]], array_keys($strokes));

    return Examples::breakdown(['pattern' => ['ticks' => 3840, 'streams' => $streams]] + $fields);
}

/** @return list<Warning> */
function warnedOf(Breakdown $breakdown): array
{
    $timeline = (new Performer())->perform($breakdown);

    return [...$timeline->hands()[0]->plan->warnings, ...(new StrokeFaults())->of($timeline->voiced['l1'], $timeline->hands()[0]->plan)];
}

it('mends what it warns of, and the warning is gone when the pattern is played again', function (string $kind, Breakdown $breakdown, array $offers): void {
    $warning = array_values(array_filter(warnedOf($breakdown), static fn (Warning $each): bool => $each->kind->value === $kind))[0];
    $repairs = (new StrokeRepairs())->of(Desk::of($breakdown), $warning, $breakdown->start->tempo, Toolbox::of($breakdown)->voiced());

    expect(array_map(static fn (Repair $repair): string => $repair->text, $repairs))->toBe($offers);
    foreach ($repairs as $repair) {
        expect(array_map(static fn (Warning $each): string => $each->kind->value, warnedOf($repair->breakdown)))->not->toContain($kind);
    }
})->with([
    'a stroke against the hand' => [
        'breaks-the-swing',
        struck([['at' => 0, 'division' => 2, 'direction' => 'up', 'fixed' => ['direction']]]),
        ['Let the hand choose there'],
    ],
    'a thumb that doubles' => [
        'thumb-doubles',
        struck(
            ['thumb' => [['at' => 0, 'division' => 2, 'by' => 'thumb'], ['at' => 480, 'division' => 2, 'by' => 'thumb']]],
            ['school' => 'thumb-fingers'],
        ),
        ['Give the later ones to the fingers'],
    ],
    'a triplet without its thumb' => [
        'thumb-missing',
        struck(
            [
                'thumb' => [['at' => 960, 'division' => 1, 'by' => 'thumb', 'zone' => 'bass']],
                'brushes' => [
                    ['at' => 0, 'division' => 3, 'by' => 'fingers', 'zone' => 'high'],
                    ['at' => 320, 'division' => 3, 'by' => 'fingers', 'zone' => 'high'],
                ],
            ],
            ['school' => 'thumb-fingers'],
        ),
        ['Give the thumb its beat'],
    ],
    'thirds among halves' => [
        'tuplets-overlap',
        struck([['at' => 0, 'division' => 2], ['at' => 480, 'division' => 2], ['at' => 640, 'division' => 3]]),
        ['Move the odd ones to the nearest slot'],
    ],
    'too many downs' => [
        'same-direction',
        Examples::breakdown(['school' => 'all-down', 'tempo' => 160], 'xxxxxxxx'),
        ['Change to the pendulum'],
    ],
    'a short note too short' => [
        'short-note',
        Examples::breakdown(['tempo' => 220, 'feel' => ['mode' => 'fixed', 'ratio' => 3, 'unit' => 'eighth']]),
        ['Let the swing follow the tempo', 'Play it straight'],
    ],
    'strings the grip mutes' => [
        'silent-strings',
        struck(
            [['at' => 0, 'division' => 1, 'strings' => [6]]],
            ['pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]]]],
        ),
        ['Strike string 5 instead', 'Strike the whole grip'],
    ],
    'a bend that nothing began' => [
        'no-bend-before',
        struck([
            ['at' => 0, 'division' => 1, 'strings' => [2]],
            ['at' => 960, 'division' => 1, 'strings' => [2], 'ornament' => ['kind' => 'release', 'frets' => 2]],
        ]),
        ['Bend on the stroke before', 'Strike it plainly'],
    ],
    'a slide below the nut' => [
        'below-the-nut',
        struck(
            [['at' => 0, 'division' => 1, 'strings' => [1], 'ornament' => ['kind' => 'slide-in', 'frets' => -4]]],
            ['pins' => [
                ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, null, 0, 2, 3, 1]],
                ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'A7', 'frets' => [null, 0, 2, 0, 2, 3]],
            ]],
        ),
        ['Come from one fret away', 'Strike it plainly'],
    ],
]);

it('offers nothing where nothing helps: more strokes than a hand has', function (): void {
    $breakdown = Examples::breakdown(['tempo' => 240], 'xxxxxxxxxxxxxxxx', 4);
    $warning = array_values(array_filter(warnedOf($breakdown), static fn (Warning $each): bool => $each->kind->value === 'total-rate'))[0];

    expect((new StrokeRepairs())->of(Desk::of($breakdown), $warning, $breakdown->start->tempo))->toBe([]);
});

it('sounds the open strings where the hand travels, and leaves none of the old grip ringing', function (): void {
    $breakdown = struck(
        [['at' => 0, 'division' => 1], ['at' => 3360, 'division' => 2, 'chord' => 'open', 'zone' => 'high']],
        ['pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]]]],
    );
    $strokes = (new Performer())->perform($breakdown)->strokes;
    $hiccup = $strokes[1];

    expect($hiccup->voicing->frets)->toBe([0, 0, 0, 0, 0, 0])
        ->and(array_map(static fn (int $string): int => 6 - $string, $hiccup->strings))->toContain(1)->not->toContain(6)
        ->and(max($strokes[0]->ends))->toEqualWithDelta($hiccup->t, 1e-9)
        ->and(array_filter(
            warnedOf($breakdown),
            static fn (Warning $warning): bool => $warning->kind->value === 'silent-strings',
        ))->toBe([]);
});

it('asks what a hardest first beat announces where nothing begins, and only there', function (string $slots, string $line, ?string $asks): void {
    $breakdown = Examples::breakdown(['sections' => [['name' => 'A', 'line' => $line]]], $slots);
    $reset = (new PatternChanger())->profile(Desk::of($breakdown), AccentProfile::Reset, null);
    $timeline = (new Performer())->perform($slots === 'x.x.x.x.' ? $reset : $breakdown);
    $question = (new ResetAccents())->question($timeline, $timeline->hands()[0]);

    expect($question === null ? null : $question->text)->toBe($asks === null ? null : "The hardest stroke announces something, but in {$asks} neither chord nor section changes. What does it signal there? If nothing, play it like the others.");
})->with([
    'a chord held over the bar line' => ['x.x.x.x.', '| Dm | Dm | A7 | A7 |', 'bars 2, 4'],
    'a chord in every bar' => ['x.x.x.x.', '| Dm | A7 | Dm | A7 |', null],
    'many bars of one chord' => ['x.x.x.x.', '| Dm | Dm | Dm | Dm | Dm | Dm | Dm |', 'bars 2, 3, 4, 5 and 2 more'],
    'no stroke is hardest' => ['x.x.xxxx', '| Dm | Dm |', null],
]);
