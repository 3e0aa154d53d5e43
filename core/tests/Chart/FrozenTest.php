<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\ChartLine;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Dynamic;
use Gravik\Chart\Ending;
use Gravik\Chart\Form;
use Gravik\Chart\FormEntry;
use Gravik\Chart\IntroLadder;
use Gravik\Chart\LinkedPins;
use Gravik\Chart\Loudness;
use Gravik\Chart\Move;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\SungWords;
use Gravik\Chart\Turnaround;
use Gravik\Chart\UsualForm;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

it('reads lines, lays out songs and walks to chords as it did', function (): void {
    $figures = [];
    $typed = ['| C | F G | % | N.C. |', '| Dm7 / G7 / | C |', 'C F G', '| I | IV V7 | ii7 V7 | I |', '| C x | F |', '', '|', '| C | %',
        '| A♭6 . . D♭9 |',
        '| C F G A B |', '| Em7♭5 A7♭9 | Dm6 |', '| C/E | F/A | G/B |', '| %', '| C || F |', '| H7 | Czzz |'];
    foreach ($typed as $line) {
        foreach ([['C major', '4/4'], ['E♭ major', '3/4'], ['A minor', '6/8'], ['D major', '5/4']] as [$key, $meter]) {
            $figures["line {$line} {$key} {$meter}"] = static function () use ($line, $key, $meter): array {
                $reader = new ChartLine(Key::parse($key), Meter::parse($meter));

                return [
                    static fn (): mixed => $reader->read($line), static fn (): mixed => $reader->carriedTo(Key::parse('A♭ major'), $line),
                    static fn (): mixed => $reader->splitAt($line, 1), static fn (): mixed => $reader->splitAt($line, 9),
                ];
            };
        }
    }
    foreach (['full' => Frozen::full(), ...Frozen::documents(16)] as $name => $song) {
        $figures["song {$name}"] = static fn (): array => frozenSong($song);
    }
    foreach (['C major', 'A minor', 'F♯ major'] as $key) {
        $figures["forms {$key}"] = static fn (): array => [
            UsualForm::in(Key::parse($key)),
            array_map(
                static fn (Turnaround $each): array => [$each, $each->line(true), $each->line(false)],
                Turnaround::in(Key::parse($key)),
            ),
            array_map(
                static fn (string $symbol): array => array_map(
                    static fn (IntroLadder $ladder): array => [$ladder, $ladder->line()],
                    IntroLadder::to(ChordSymbol::parse($symbol), Key::parse($key)),
                ),
                ['C', 'Gm7', 'B♭7'],
            ),
        ];
    }
    foreach (ApproachKind::cases() as $kind) {
        $figures["approach {$kind->value}"] = static fn (): array => [
            array_map(
                static fn (int $steps): array => [$kind->offsets($steps), $kind->shortly($steps)],
                range(1, 8),
            ), $kind->words(), $kind->ownSteps(),
        ];
    }
    foreach ([1, Move::MOST_STEPS, Move::MOST_STEPS + 1, 0] as $steps) {
        foreach ([Move::SHORTEST_SLOT, Move::LONGEST_SLOT, Move::SHORTEST_SLOT - 1, Move::LONGEST_SLOT + 1] as $slot) {
            $figures["move {$steps} {$slot}"] = static fn (): Move => new Move('m1', 'in', ApproachKind::cases()[0], $steps, $slot);
        }
    }
    Frozen::hold('chart', $figures);
});

/** @return array<int, mixed> */
function frozenSong(Breakdown $song): array
{
    $course = $song->course();
    $form = $song->written();
    $map = $course->timeMap(new Tempo(97));
    $clock = new ChordClock($course);
    $told = array_map(static fn ($section): array => [$section->id, Form::of([$section], $song->start)->bars], $song->sections);

    return [
        $form->bars, $form->chords, $form->differentChords(), $course->bars, $course->chords, $course->visits, $course->ticks(), $map,
        $told,
        array_map($clock->at(...), range(-960, 20_000, 720)),
        array_map(static fn (int $tick): mixed => static fn (): mixed => $clock->changeAfter($tick, 0), [0, 1, 960, 3840]),
        array_map(static fn ($bar): array => array_map(
            static fn (float $share): float => $bar->loudness->gain($share, 1),
            [0.0, 0.5, 1.0],
        ), $course->bars),
        Loudness::ofBars([], 3),
        static function () use ($song, $course): array {
            $tools = Toolbox::of($song);
            $voiced = $tools->voiced();

            return [
                $voiced->path->cost, $voiced->stringsUsed(), $voiced->withoutOpenRoot($song->neck),
                $tools->voicer()->elsewhere($voiced)->path->cost,
                $tools->approacher()->all($course, $voiced, $song->placed), LinkedPins::of($song->written(), $song->lines[0]->pins),
                array_map(static fn (ApproachKind $kind): Closure => static fn (): mixed => $tools->approacher()
                    ->place($course, $voiced, 1, new Move('m', '', $kind, $kind->ownSteps() ?? 3, 480)), ApproachKind::cases()),
            ];
        },
    ];
}

it('builds at the edges what it did', function (): void {
    $at = new Place('a', null, 0, 0);
    $figures = [];
    foreach (
        [
            [[], []],
            [[0], []],
            [[1], []],
            [[1, 1], []],
            [[2, 1], []],
            [[], ['1']],
            [[-1, 2], ['1']],
            [[3], ['1']],
        ] as $number => [$times, $passes]
    ) {
        $figures["ending {$number}"] = static fn (): Ending => new Ending($times, '| C |', $passes);
    }
    foreach ([-1, 0, 1, 2, 3, 4, 5, 6, 7] as $level) {
        $figures["dynamic {$level}"] = static fn (): array => [
            static fn () => new Dynamic(0, $level),
            static fn () => new Dynamic($level, 2),
        ];
        $figures["place {$level}"] = static fn (): array => [
            static fn () => new Place('a', $level, 0, 0), static fn () => new Place('a', null, $level, 0),
            static fn () => new Place('a', null, 0, $level),
            static fn () => new SungWords($level, 'ebb'),
        ];
    }
    foreach ([0, 1, 2, 3, 16, 17, 31, 32, 33, 64, 65] as $times) {
        $figures["entry {$times}"] = static fn (): array => [
            static fn () => new FormEntry('a', $times),
            (new FormEntry('a', 1, ['2']))->comesIn('2'),
        ];
    }
    foreach ([0, 1, 20, 39, 40, 41, 119, 120, 121, 3999, 4000, 4001] as $long) {
        $text = str_repeat('x', $long);
        $figures["long {$long}"] = static fn (): array => [
            static fn () => new Section('a', $text, ''), static fn () => new Section('a', 'A', $text),
            static fn () => new Ending([1], $text),
            static fn () => new SungWords(0, $text), static fn () => new Pin($at, 'C', [0, 0, 0, 0, 0, 0], false, $text),
        ];
    }
    foreach ([-1, 0, 12, 24, 25] as $fret) {
        foreach ([3, 4, 6, 8, 9] as $strings) {
            $figures["pin {$fret} {$strings}"] = static function () use ($at, $fret, $strings): array {
                $pin = new Pin($at, 'C', [$fret, ...array_fill(0, $strings - 1, null)]);

                return [$pin, $pin->shifted(1), $pin->shifted(-1), $pin->movedBy(2, 'D'), $pin->movedBy(-2, 'B♭')];
            };
        }
    }
    Frozen::hold('chart-edges', $figures);
});
