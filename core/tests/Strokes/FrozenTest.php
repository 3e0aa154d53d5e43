<?php

declare(strict_types=1);

use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Crossings;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\Hand\SchoolAdvice;
use Gravik\Strokes\Hand\SchoolInUse;
use Gravik\Strokes\Hand\TempoLimit;
use Gravik\Strokes\Length;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Strokes\Shaping\LineRooms;
use Gravik\Strokes\Shaping\PatternShaper;
use Gravik\Strokes\SlotGrid;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Strokes\Written\FigureRhythm;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/** @return array<string, Pattern> those of the house, and some typed ones */
function frozenPatterns(): array
{
    $patterns = array_column(array_map(
        static fn (LibraryPattern $entry): array => [$entry->slug, $entry->pattern],
        PatternLibrary::all(),
    ), 1, 0);
    $typed = ['x.xcx.gX' => ['4/4', 2], 'x.X..xg.' => ['4/4', 2], 'xxxxXxxxxcxxxxXx' => ['4/4', 4], 'x..x..' => ['6/8', 3],
        'Xx.xXxxX.x.x' => ['4/4', 3],
        'x...xX' => ['3/4', 2], 'cccc' => ['4/4', 1], '..x.' => ['2/4', 2]];
    foreach ($typed as $slots => [$meter, $grid]) {
        $patterns["{$slots} {$meter}"] = SlotLine::parse($slots, Meter::parse($meter), $grid);
    }

    $patterns['thirds among halves'] = new Pattern(Meter::parse('4/4'), 3840, [new Stream('mixed', array_map(
        static fn (array $each): Stroke => new Stroke(...$each),
        [[0, 1], [1280, 3], [1440, 2], [1600, 3], [2880, 1], [3360, 2], [3520, 3], [3600, 4]],
    ))]);
    $where = [Zone::Bass, [4], Zone::High, [2, 1], Zone::Low, Zone::Middle, [6], Zone::All, [3], [1]];
    foreach ([2, 3, 4] as $grid) {
        $patterns["picked {$grid}"] = new Pattern(Meter::parse('4/4'), 3840,
            [new Stream('pick', array_map(static fn (int $slot): Stroke => new Stroke(
                intdiv(960 * $slot, $grid),
                $grid,
                Action::Pick,
                strings: $where[$slot % count($where)],
                by: $slot % 3 === 0 ? PlayedBy::Thumb : PlayedBy::Pick,
                accent: $slot % 4,
            ), range(0, 4 * $grid - 1)))]);
    }

    return $patterns;
}

it('plans hands, levels and limits as it did', function (): void {
    $figures = [];
    foreach (frozenPatterns() as $name => $pattern) {
        foreach (School::cases() as $school) {
            $feels = [[96.0, Feel::straight()], [184.0, Feel::fixed(2.0)], [70.0, Feel::fixed(1.5, SwingUnit::Sixteenth)]];
            $figures["plan {$name} {$school->value}"] = static fn (): array => array_map(
                static fn (array $told): \Closure => static function () use ($pattern, $school, $told): array {
                    $ruler = new Ruler($pattern->meter, new Tempo($told[0]), $told[1]);
                    $plan = (new HandPlanner())->plan($pattern, $school, $ruler, $told[1]);

                    return [
                        $plan, (new Levels())->planned($plan, $school, 1)->pattern, (new Levels())->planned($plan, $school, 2)->pattern,
                        SchoolInUse::all($pattern, $school, $ruler, $told[1]),
                    ];
                },
                $feels,
            );
        }
        $figures["pattern {$name}"] = static fn (): array => [
            (new Levels())->of($pattern), (new Levels())->sameAsAbove($pattern), SchoolAdvice::for($pattern), TempoLimit::of($pattern),
            TempoLimit::busiest($pattern, null), TempoLimit::busiest($pattern, Direction::Down), Crossings::of($pattern->strokes()),
            CountLine::write($pattern), $pattern->grid(), array_map($pattern->divisionOfBeat(...), range(0, $pattern->meter->beats() - 1)),
            SlotGrid::of($pattern, null), SlotGrid::of($pattern, 4), Counting::places($pattern, [0, 480, 960]),
            (new LineRooms($pattern))->of(0), array_map(static fn (Stream $stream): array => $stream->usualWay(), $pattern->streams),
        ];
    }
    Frozen::hold('strokes-hand', $figures);
});

it('shapes and writes patterns as it did', function (): void {
    $figures = [];
    foreach (frozenPatterns() as $name => $pattern) {
        $bar = new Pattern($pattern->meter, $pattern->meter->barTicks(), [new Stream('strum', array_values(array_filter(
            $pattern->streams[0]->strokes,
            static fn (Stroke $stroke): bool => $stroke->at < $pattern->meter->barTicks(),
        )))]);
        $figures["moves {$name}"] = static fn (): array => array_map(
            static fn (BarMove $move): array => [$move->over($bar), $move->over($bar, 2)],
            BarMove::cases(),
        );
        $figures["shaped {$name}"] = static fn (): array => [
            array_map(static fn (AccentProfile $profile): Pattern => $profile->over($pattern), AccentProfile::cases()),
            array_map(static fn (LengthProfile $profile): Pattern => $profile->over($pattern), LengthProfile::cases()),
            array_map(
                static fn (array $to): \Closure => static fn (): Pattern => (new PatternShaper())
                    ->shaped($pattern, Meter::parse($to[0]), $to[1], $to[2]),
                [['4/4', 1, 2], ['3/4', 2, 2], ['6/8', 1, 3], ['4/4', 2, 4]],
            ),
        ];
        $shaper = new PatternShaper();
        $figures["changed {$name}"] = static fn (): array => [
            static fn (): Pattern => $shaper->withBeatDivided($pattern, 1, 3),
            static fn (): Pattern => $shaper->withBeatDivided($pattern, 0, 4),
            static fn (): Pattern => $shaper->withBarCopied($pattern, 0), static fn (): Pattern => $shaper->withBeatExchanged($pattern, 0),
        ];
    }
    foreach (countLines() as $typed) {
        foreach (['4/4', '3/4', '6/8', '12/8'] as $meter) {
            $rhythm = new FigureRhythm(Meter::parse($meter));
            $figures["counted {$typed} {$meter}"] = static fn (): array => [
                static fn (): Pattern => CountLine::parse($typed, Meter::parse($meter)),
                static fn (): string => CountLine::write(CountLine::parse($typed, Meter::parse($meter))),
                static fn (): FigureLine => FigureLine::parse([$typed], Meter::parse($meter)),
                static fn (): string => $rhythm->counted($typed), static fn (): string => $rhythm->onto('6:3 5:2', $typed),
            ];
        }
    }
    foreach (['4/4', '3/4', '6/8', '12/8'] as $meter) {
        $figures["evenly {$meter}"] = static fn (): string => (new FigureRhythm(Meter::parse($meter)))->counted('6:3 5:2+4:2 1:0 2:2 2:3');
    }
    foreach ([1, 2, 3, 4, 6, 5] as $grid) {
        foreach (['4/4', '6/8', '5/4'] as $meter) {
            $figures["syllables {$meter} {$grid}"] = static fn (): array => Counting::syllables(Meter::parse($meter), $grid);
        }
    }
    foreach (Articulation::cases() as $articulation) {
        foreach ([0, 1, 3] as $accent) {
            $stroke = (new Stroke(480, 2))->articulated($articulation)->accented($accent);
            $figures["stroke {$articulation->value} {$accent}"] = static fn (): array => [
                $stroke, CountLine::signs($stroke), $stroke->contact(), $stroke->isDead(), $stroke->freesTheHand(), $stroke->ownDirection(),
                $stroke->onNearestSlot(960, 3), $stroke->movedTo(700, 6), $stroke->lasting(Length::ofSlot(0.5)), $stroke->heldTo('accent'),
                $stroke->heldTo('accent')->hasFixed('accent'), $stroke->isDeadOn(1, 4),
            ];
        }
    }
    foreach ([0.0, 0.01, 8.0, 8.1] as $share) {
        $figures["share {$share}"] = static fn (): Length => Length::ofSlot($share);
    }
    foreach ([0, 1, 100_000, 100_001] as $ticks) {
        $figures["ticks {$ticks}"] = static fn (): Length => Length::ofTicks($ticks);
    }
    Frozen::hold('strokes-written', $figures);
});

/** @return list<string> */
function countLines(): array
{
    return ['1 & 2 & 3 & 4 &', '1! (&) 2x & 3~ e & ax', '1 e & a 2', '1=6:3 & 2=5:2+4:2 (3) & 4', '(1) trip let 2', '1> &. 2_ &^ 3v',
        '1 la li 2 la li',
        '1 1 2', 'x y', '', '& 1', '1!! &g 2x! (&)', '1=6:3h5 &=5:2p0 2=4:2s4 &=3:2b2'];
}

it('builds at the edges what it did', function (): void {
    $figures = [];
    foreach ([-13, -12, 0, 12, 13] as $frets) {
        $figures["ornament {$frets}"] = static fn (): array => array_map(
            static fn (OrnamentKind $kind): Closure => static fn (): array => [new Ornament($kind, $frets), $kind->usualFrets()],
            OrnamentKind::cases(),
        );
    }
    foreach ([-1, 0, 1, 2, 3, 4, 5, 6, 7] as $number) {
        $figures["stroke {$number}"] = static fn (): array => [
            static fn () => new Stroke(0, $number), static fn () => new Stroke(0, 1, accent: $number),
            static fn () => new Stroke(0, 1, level: $number),
        ];
    }
    foreach ([-250.1, -250.0, 250.0, 250.1] as $ms) {
        $figures["late {$ms}"] = static fn (): Stroke => new Stroke(0, 1, offsetMs: $ms);
    }
    foreach ([0, 960, 3839, 3840, 3841, 7680, 15360, 19200] as $ticks) {
        foreach ([0, 1, 2, 3] as $streams) {
            $figures["pattern {$ticks} {$streams}"] = static fn (): array => [static fn () => new Pattern(
                Meter::parse('4/4'),
                $ticks,
                array_fill(0, $streams, new Stream('s', [new Stroke(0, 1), new Stroke(3600, 4), new Stroke(3520, 3)])),
            )];
        }
    }
    foreach ([[480, 1], [480, 2], [320, 3], [160, 6], [240, 4], [100, 6], [-960, 1]] as [$at, $division]) {
        $figures["at {$at} {$division}"] = static fn (): Pattern => new Pattern(
            Meter::parse('4/4'),
            3840,
            [new Stream('s', [new Stroke($at, $division)])],
        );
    }
    Frozen::hold('strokes-edges', $figures);
});
