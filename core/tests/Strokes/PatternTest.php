<?php

declare(strict_types=1);

use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Length;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\StrokesException;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;
use Gravik\Time\TimeException;

it('reads a pattern typed as one sign a slot', function (): void {
    $strokes = SlotLine::parse('X.cg | x...', Meter::parse('4/4'), 2)->strokes();

    expect(array_map(static fn (Stroke $stroke): array => [$stroke->at, $stroke->articulation, $stroke->accent], $strokes))->toBe([
        [0, Articulation::Ring, 2], [960, Articulation::Chuck, 1], [1440, Articulation::Ghost, 0], [1920, Articulation::Ring, 1],
    ]);
});

it('says which slot is wrong and how many are missing', function (string $slots, string $meter, int $grid, string $message): void {
    expect(static fn () => SlotLine::parse($slots, Meter::parse($meter), $grid))->toThrow(StrokesException::class, $message);
})->with([
    'an unknown sign' => ['x.x?x.x.', '4/4', 2, 'Slot 4 holds "?"'],
    'one slot short' => ['x.x.x.x', '4/4', 2, 'Add or take away 1'],
    'nothing' => ['', '4/4', 2, '0 slots do not fill whole bars'],
    'five bars' => [str_repeat('x...', 20), '4/4', 4, 'do not fill whole bars'],
]);

it('refuses a grid in five', function (): void {
    SlotLine::parse('xxxxx', Meter::parse('2/4'), 5);
})->throws(TimeException::class);

it('refuses strokes that do not fit', function (callable $build, string $message): void {
    expect($build)->toThrow(StrokesException::class, $message);
})->with([
    'past the end' => [
        static fn () => new Pattern(Meter::parse('4/4'), 3840, [new Stream('s', [new Stroke(3840, 2)])]),
        'outside the pattern',
    ],
    'before the start' => [
        static fn () => new Pattern(Meter::parse('4/4'), 3840, [new Stream('s', [new Stroke(-480, 2)])]),
        'outside the pattern',
    ],
    'off its own grid' => [
        static fn () => new Pattern(Meter::parse('4/4'), 3840, [new Stream('s', [new Stroke(320, 2)])]),
        'does not lie on a beat divided in 2',
    ],
    'two at once in one stream' => [
        static fn () => new Stream('bass', [new Stroke(480, 2), new Stroke(480, 4)]),
        'Stream "bass" has two strokes at tick 480',
    ],
    'half a bar' => [static fn () => new Pattern(Meter::parse('4/4'), 1920, [new Stream('s', [])]), 'one to four whole bars'],
    'three streams' => [
        static fn () => new Pattern(Meter::parse('4/4'), 3840, [new Stream('a', []), new Stream('b', []), new Stream('c', [])]),
        'one or two streams',
    ],
    'a length of nothing' => [static fn () => Length::ofSlot(0), 'above 0'],
    'an accent past the hardest' => [static fn () => new Stroke(0, 2, accent: 4), '0 (soft) to 3'],
    'a thousandth too early' => [static fn () => new Stroke(0, 2, offsetMs: -250.001), 'at most 250 ms'],
    'a length of no tick' => [static fn () => Length::ofTicks(0), 'from 1 to 100000'],
    'a length of a hundred bars' => [static fn () => Length::ofTicks(100_001), 'from 1 to 100000'],
    'a length of no share' => [static fn () => Length::ofSlot(0.0), 'above 0'],
    'a length of nine slots' => [static fn () => Length::ofSlot(8.01), 'at most 8'],
    'a second late' => [static fn () => new Stroke(0, 2, offsetMs: 1000), 'at most 250 ms'],
    'an unknown school' => [static fn () => School::parse('windmill'), 'Choose one of pendulum, all-down'],
]);

it('lets two streams strike at the same time, each with its own rhythm', function (): void {
    $bass = new Stream('thumb', [new Stroke(0, 1), new Stroke(960, 1)]);
    $brush = new Stream('brush', [new Stroke(0, 3), new Stroke(640, 3), new Stroke(960, 3)]);
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [$bass, $brush]);

    expect($pattern->strokes())->toHaveCount(5)->and($pattern->grid())->toBe(3)->and($pattern->slotTicks())->toBe(320);
});

it('counts slots on the smallest grid that holds triplets and sixteenths together', function (): void {
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [new Stream('s', [new Stroke(0, 4), new Stroke(240, 4), new Stroke(1280, 3)])]);

    expect($pattern->grid())->toBe(12)->and($pattern->slotTicks())->toBe(80);
});

it('lays a pattern out anew', function (string $slots, string $from, int $grid, string $meter, int $bars, int $to, array $at): void {
    $shaped = (new PatternShaper())->shaped(Examples::pattern($slots, $from, $grid), Meter::parse($meter), $bars, $to);

    expect(array_map(static fn (Stroke $stroke): int => $stroke->at, $shaped->strokes()))->toBe($at)->and($shaped->bars())->toBe($bars);
})->with([
    'eighths to triplets: the off-beat goes to the last third' => ['xx......', '4/4', 2, '4/4', 1, 3, [0, 640]],
    'two strokes that meet: the first stays' => ['xxxx............', '4/4', 4, '4/4', 1, 2, [0, 480, 960]],
    'a second bar repeats the first' => ['x.......', '4/4', 2, '4/4', 2, 2, [0, 3840]],
    'one bar of two keeps the first' => ['x.......x.x.....', '4/4', 2, '4/4', 1, 2, [0]],
    'into three, beat for beat' => ['x.x.x.x.', '4/4', 2, '3/4', 1, 2, [0, 960, 1920]],
    'into twelve eight' => ['xx..x...', '4/4', 2, '12/8', 1, 3, [0, 960, 2880]],
]);

it('writes each beat as finely as its own strokes need', function (string $counted, array $divisions): void {
    $pattern = CountLine::parse($counted, Meter::parse('4/4'));

    expect(array_map($pattern->divisionOfBeat(...), range(0, 3)))->toBe($divisions);
})->with([
    'a triplet among eighths' => ['1 trip let 2 & 3 & 4', [3, 2, 2, 2]],
    'eighths' => ['1 & 2 3 4', [2, 2, 2, 2]],
    'a run among eighths' => ['1 e & a 2 & 3 4', [4, 2, 4, 4]],
    'beats alone' => ['1 2 3 4', [1, 1, 1, 1]],
]);

it('divides one beat anew and leaves the others', function (): void {
    $pattern = (new PatternShaper())->withBeatDivided(CountLine::parse('1 & 2 & 3 & 4 &', Meter::parse('4/4')), 1, 3);
    expect(CountLine::write($pattern))->toBe('1 & 2 (trip) let 3 & 4 &')
        ->and(CountLine::write((new PatternShaper())->withBeatDivided($pattern, 1, 1)))->toBe('1 & 2 3 & 4 &')
        ->and(fn () => (new PatternShaper())->withBeatDivided($pattern, 1, 5))->toThrow(TimeException::class, 'cannot be divided in 5');
});

it('strikes a line as most of its strokes are struck, an empty one as its name says', function (Stream $line, array $way): void {
    expect($line->usualWay())->toBe($way);
})->with([
    'bass' => [Stream::second(), [Zone::Bass, Action::Pick, PlayedBy::Pick]],
    'thumb' => [new Stream('Thumb', []), [Zone::Bass, Action::Pick, PlayedBy::Thumb]],
    'anything' => [new Stream('chords', []), [Zone::All, Action::Strum, PlayedBy::Pick]],
    'mostly brushed' => [
        new Stream('bass', array_map(
            static fn (int $at): Stroke => (new Stroke($at, 1))->striking(
                $at === 0 ? Zone::Bass : Zone::High,
                Action::Brush,
                PlayedBy::Fingers,
            ),
            [0, 960, 1920],
        )),
        [Zone::High, Action::Brush, PlayedBy::Fingers],
    ],
    'single strings of the thumb' => [
        new Stream('x', [(new Stroke(0, 1))->striking([5], Action::Pick, PlayedBy::Thumb)]),
        [Zone::Bass, Action::Pick, PlayedBy::Thumb],
    ],
]);

it('takes the way most of its strokes go for the usual one', function (): void {
    $brush = static fn (int $at): Stroke => (new Stroke($at, 1))->striking(Zone::High, Action::Brush, PlayedBy::Fingers);
    $thumb = static fn (int $at): Stroke => (new Stroke($at, 1))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb);

    expect((new Stream('x', [$thumb(0), $brush(960), $brush(1920)]))->usualWay())->toBe([Zone::High, Action::Brush, PlayedBy::Fingers])
        ->and((new Stream('x', [$brush(0), $brush(960), $thumb(1920), $thumb(2880), $thumb(3840)]))->usualWay())
        ->toBe([Zone::Bass, Action::Pick, PlayedBy::Thumb])
        ->and((new Stream('my thumb', []))->usualWay())->toBe([Zone::Bass, Action::Pick, PlayedBy::Thumb])
        ->and((new Stream('bass', []))->usualWay())->toBe([Zone::Bass, Action::Pick, PlayedBy::Pick])
        ->and((new Stream('strum', []))->usualWay())->toBe([Zone::All, Action::Strum, PlayedBy::Pick]);
});

it('comes into an ornament from where a hand usually does', function (OrnamentKind $kind, ?int $frets): void {
    expect($kind->usualFrets())->toBe($frets);
})->with([
    [OrnamentKind::SlideIn, -1], [OrnamentKind::Grace, -1], [OrnamentKind::SlideOut, -3], [OrnamentKind::HammerOn, -2],
    [OrnamentKind::PullOff, 2], [OrnamentKind::Bend, 2], [OrnamentKind::Vibrato, null], [OrnamentKind::Drag, null],
]);

it('counts what lies within a beat by the syllables of its division', function (string $meter, int $grid, string $counted): void {
    expect(implode(' ', array_slice(Counting::syllables(Meter::parse($meter), $grid), 0, $grid + 1)))->toBe($counted);
})->with([
    ['4/4', 1, '1 2'], ['4/4', 2, '1 & 2'], ['4/4', 3, '1 trip let 2'], ['4/4', 4, '1 e & a 2'], ['4/4', 6, '1 ta trip ta let ta 2'],
    ['12/8', 1, '1 2'], ['12/8', 3, '1 & a 2'],
]);
