<?php

declare(strict_types=1);

use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\Length;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\StrokesException;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** @return list<int> */
function ticksOf(Pattern $pattern): array
{
    return array_map(static fn (Stroke $stroke): int => $stroke->at, $pattern->strokes());
}

it('reads what is said as strokes and what is in brackets as air', function (string $typed, string $meter, array $ticks): void {
    expect(ticksOf(CountLine::parse($typed, Meter::parse($meter))))->toBe($ticks);
})->with([
    'eighths' => ['1 & (2) & 3 (&) 4 &', '4/4', [0, 480, 1440, 1920, 2880, 3360]],
    'a triplet among eighths' => ['1 trip let 2 &', '2/4', [0, 320, 640, 960, 1440]],
    'a sixteenth run' => ['1 e & a (2)', '2/4', [0, 240, 480, 720]],
    'three over two beats' => ['1 (trip) let (2) trip (let)', '2/4', [0, 640, 1280]],
    'sixths' => ['1 ta trip ta let ta 2', '2/4', [0, 160, 320, 480, 640, 800, 960]],
    'dotted beats' => ['1 & a (2) (&) a', '6/8', [0, 480, 960, 2400]],
    'two bars' => ['1 2 | 1 2', '2/4', [0, 960, 1920, 2880]],
]);

it('reads how a stroke is played from the signs after it', function (): void {
    [$hard, $dead, $push, $up] = CountLine::parse('1!! ex &.> a~^ (2)', Meter::parse('2/4'))->strokes();

    expect($hard->accent)->toBe(3)->and($dead->articulation)->toBe(Articulation::Chuck)
        ->and($push->articulation)->toBe(Articulation::Short)->and($push->chord)->toBe(ChordOf::Next)
        ->and($up->articulation)->toBe(Articulation::Ghost)
        ->and($up->direction)->toBe(Direction::Up)
        ->and($up->hasFixed('direction'))->toBeTrue();
});

it('says which syllable does not fit', function (string $typed, string $says): void {
    expect(fn () => CountLine::parse($typed, Meter::parse('4/4')))->toThrow(StrokesException::class, $says);
})->with([
    ['1 and 2 & 3 4', '"and" is not counted here'],
    ['1 2 4', 'where beat 3 comes'],
    ['& 1 2 3 4', 'where beat 1 comes'],
    ['1 2 3', '3 beats are counted'],
    ['1 & trip 2 3 4', 'no one division'],
    ['1 & e 2 3 4', 'comes after what follows'],
    ['1 2 (3 4', '"(3" is not counted'],
]);

it('writes every library pattern of one line as it reads it', function (LibraryPattern $entry): void {
    $written = CountLine::write($entry->pattern);
    $again = CountLine::parse($written, $entry->pattern->meter);
    $heard = static fn (Pattern $pattern): array => array_map(
        static fn (Stroke $stroke): array => [$stroke->at, $stroke->division, $stroke->articulation, $stroke->accent, $stroke->chord],
        $pattern->streams[0]->strokes,
    );

    expect($heard($again))->toBe($heard($entry->pattern))->and(CountLine::write($again))->toBe($written);
})->with(static fn (): array => array_combine(
    array_map(static fn (LibraryPattern $entry): string => $entry->slug, PatternLibrary::all()),
    array_map(static fn (LibraryPattern $entry): array => [$entry], PatternLibrary::all()),
));

it('ships patterns that can be planned at both ends of their tempo range without a fault', function (): void {
    $all = PatternLibrary::all();
    expect(count($all))->toBeGreaterThanOrEqual(24)
        ->and(count(array_unique(array_map(static fn (LibraryPattern $entry): string => $entry->name, $all))))->toBe(count($all));
    foreach ($all as $entry) {
        [$low, $high] = $entry->tempo;
        expect($low)->toBeLessThan($high)->and($entry->when)->not->toBe('')->and($entry->caution)->not->toBe('');
        $plan = (new HandPlanner())->plan(
            $entry->pattern,
            $entry->school,
            new Ruler($entry->pattern->meter, new Tempo($low), $entry->feel),
            $entry->feel,
        );
        expect($plan->warnings)->toBe([], $entry->slug);
    }
});

it('thins a pattern by metrical weight and never turns a direction', function (string $slots, int $level, array $ticks): void {
    $pattern = (new HandPlanner())->plan(
        Examples::pattern($slots),
        School::Pendulum,
        new Ruler(Meter::parse('4/4'), new Tempo(100), Feel::straight()),
        Feel::straight(),
    )->pattern;
    $thinned = (new Levels())->thinned($pattern, $level);
    $directions = static fn (Pattern $one): array => array_column(
        array_map(static fn (Stroke $stroke): array => [$stroke->at, $stroke->direction], $one->strokes()),
        1,
        0,
    );

    expect(ticksOf($thinned))->toBe($ticks)->and(array_diff_key($directions($thinned), $directions($pattern)))->toBe([]);
    foreach ($directions($thinned) as $at => $direction) {
        expect($direction)->toBe($directions($pattern)[$at]);
    }
})->with([
    'beats' => ['xxxxx.xx', 1, [0, 960, 1920, 2880]],
    'and the off-beats' => ['xxxxx.xx', 2, [0, 480, 960, 1440, 1920, 2880, 3360]],
    'a part without beats keeps every other one' => ['.x.x.x.x', 1, [480, 2400]],
    'and then all' => ['.x.x.x.x', 2, [480, 1440, 2400, 3360]],
]);

it('keeps what the teacher says about a level before its weight', function (): void {
    $levels = (new Levels())->of(new Pattern(
        Meter::parse('2/4'),
        1920,
        [new Stream('strum', [new Stroke(0, 2, level: 3), new Stroke(480, 2, level: 1), new Stroke(960, 2)])],
    ));
    expect($levels)->toBe([0 => 3, 480 => 1, 960 => 1]);
});

it('lays accents and lengths over a pattern', function (): void {
    $accents = static fn (AccentProfile $profile, string $meter = '4/4', string $slots = 'xxxxxxxx'): array => array_map(
        static fn (Stroke $stroke): int => $stroke->accent,
        $profile->over(Examples::pattern($slots, $meter))->strokes(),
    );
    $lengths = static fn (LengthProfile $profile): array => array_map(
        static fn (Stroke $stroke): ?float => $stroke->length?->share,
        $profile->over(Examples::pattern('x.x.x.x.'))->strokes(),
    );

    expect($accents(AccentProfile::BackBeat))->toBe([1, 1, 2, 1, 1, 1, 2, 1])
        ->and($accents(AccentProfile::BoomChuck))->toBe([0, 0, 2, 0, 0, 0, 2, 0])
        ->and($accents(AccentProfile::Reset))->toBe([3, 1, 1, 1, 1, 1, 1, 1])
        ->and($accents(AccentProfile::BoomChuck, '3/4', 'x.x.x.'))->toBe([0, 2, 2])
        ->and($lengths(LengthProfile::LongDry))->toBe([null, 0.4, null, 0.4])
        ->and($lengths(LengthProfile::ReleaseAll))->toBe([0.75, 0.75, 0.75, 0.75]);
});

it('keeps what a count does not say when a pattern is counted anew, and the line under it', function (): void {
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [
        new Stream(
            'chords',
            [
                new Stroke(
                    0,
                    2,
                    strings: Zone::High,
                    length: Length::ofSlot(0.5),
                    offsetMs: 12.0,
                    ornament: new Ornament(OrnamentKind::Drag),
                    level: 2,
                ),
                new Stroke(480, 2),
            ],
        ),
        new Stream('bass', [new Stroke(960, 1, strings: Zone::Bass)]),
    ]);
    $same = (new PatternShaper())->recounted($pattern, CountLine::parse('1! (&) 2', Meter::parse('2/4')));
    $longer = (new PatternShaper())->recounted($pattern, CountLine::parse('1x & 2 | 1 2', Meter::parse('2/4')));
    [$first, $new] = $same->streams[0]->strokes;

    expect([
        $first->accent,
        $first->strings,
        $first->length?->share,
        $first->offsetMs,
        $first->ornament?->kind,
        $first->level,
    ])->toBe([2, Zone::High, 0.5, 12.0, OrnamentKind::Drag, 2])
        ->and($new->at)->toBe(960)
        ->and(array_map(static fn (Stroke $stroke): int => $stroke->at, $same->streams[1]->strokes))->toBe([960])
        // A dead stroke has no use for the length of the ringing one.
        ->and($longer->streams[0]->strokes[0]->length)->toBeNull()
        ->and(array_map(static fn (Stroke $stroke): int => $stroke->at, $longer->streams[1]->strokes))->toBe([960, 2880]);
});

it('edits the line that is meant, and a thumb\'s line is struck by the thumb', function (): void {
    $thumb = new Stream(
        'thumb',
        [
            (new Stroke(0, 1))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb),
            (new Stroke(1920, 1))->striking([6], Action::Pick, PlayedBy::Thumb),
        ],
    );
    $brushes = new Stream('brushes', [(new Stroke(960, 1))->striking([3, 2], Action::Brush, PlayedBy::Fingers)]);
    $pattern = new Pattern(Meter::parse('4/4'), 3840, [$brushes, $thumb]);
    $shaper = new PatternShaper();
    $counted = $shaper->recounted($pattern, CountLine::parse('1 2 3! 4', Meter::parse('4/4')), 1);
    $kept = $shaper->recounted($pattern, CountLine::parse('(1) 2 & (3) (4)', Meter::parse('4/4')));

    expect(CountLine::write($pattern, 1))->toBe('1 (2) 3 (4)')->and(CountLine::write($pattern))->toBe('(1) 2 (3) (4)')
        ->and($counted->streams[0])->toEqual($brushes)
        ->and(array_map(
            static fn (Stroke $stroke): array => [$stroke->at, $stroke->strings, $stroke->by],
            $counted->streams[1]->strokes,
        ))->toBe([
            [0, Zone::Bass, PlayedBy::Thumb],
            [960, Zone::Bass, PlayedBy::Thumb],
            [1920, Zone::Bass, PlayedBy::Thumb],
            [2880, Zone::Bass, PlayedBy::Thumb],
        ])
        ->and(array_map(
            static fn (Stroke $stroke): array => [$stroke->at, $stroke->strings],
            $kept->streams[0]->strokes,
        ))->toBe([[960, [3, 2]], [1440, Zone::All]]);
});
