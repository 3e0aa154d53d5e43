<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\ChartLine;
use Gravik\Chart\ChartProblem;
use Gravik\CoreException;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Formats\MidiFile;
use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\School;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

// What must hold for anything that is typed, clicked or sent. The seeds are fixed, so a failure comes again.

function chance(int $seed): Random\Randomizer
{
    return new Random\Randomizer(new Random\Engine\Mt19937($seed));
}

/** @param non-empty-list<mixed> $choices */
function pick(Random\Randomizer $chance, array $choices): mixed
{
    return $choices[$chance->getInt(0, count($choices) - 1)];
}

/** @param non-empty-list<string> $pieces */
function typedFrom(Random\Randomizer $chance, array $pieces, int $most): string
{
    $text = '';
    for ($length = $chance->getInt(0, $most); $length > 0; $length--) {
        $text .= pick($chance, $pieces);
    }

    return $text;
}

const CHORD_PIECES = [
    'C',
    'D♭',
    'F#',
    'B',
    'E',
    'm',
    'maj',
    'M',
    '7',
    '9',
    '11',
    '13',
    '6',
    '6/9',
    'dim',
    '°',
    'ø',
    'aug',
    '+',
    'sus',
    'sus2',
    'add9',
    'alt',
    '♭5',
    '#9',
    'b13',
    '(',
    ')',
    ',',
    '/',
    '/E',
    'no3',
    '5',
    ' ',
    'x',
    'q',
    '−',
    '-',
    '♭',
    '#',
];

it('reads any chord symbol or points at a character of it', function (int $seed): void {
    $chance = chance($seed);
    $read = 0;
    for ($i = 0; $i < 1500; $i++) {
        $typed = pick($chance, ['C', 'B♭', 'F#', 'G', '']).typedFrom($chance, CHORD_PIECES, 5);
        try {
            $chord = ChordSymbol::parse($typed);
            $again = ChordSymbol::parse($chord->text());
            expect($again->text())->toBe($chord->text())->and($again->degrees())->toEqual($chord->degrees());
            $read++;
        } catch (ChordNotUnderstood $problem) {
            expect($problem->at)->toBeGreaterThanOrEqual(0)->toBeLessThanOrEqual(mb_strlen(trim($typed)));
            if ($problem->nearest !== null) {
                expect(ChordSymbol::parse($problem->nearest)->text())->not->toBe('');
            }
        }
    }
    expect($read)->toBeGreaterThan(100);
})->with([1, 2, 3]);

it('fills every bar of any chord line, and marks problems inside the line', function (string $meter): void {
    $chance = chance(strlen($meter));
    $reader = new ChartLine(Key::parse('D minor'), Meter::parse($meter));
    for ($i = 0; $i < 400; $i++) {
        $line = typedFrom(
            $chance,
            ['|', ' | ', ' ', 'Dm6', 'B♭7', ' A7', ' %', ' /', ' / ', 'iv7', ' V7', 'N.C.', 'Hx', '🎸', "\t", "\n"],
            14,
        );
        $reading = $reader->read($line);
        foreach ($reading->bars as $bar) {
            expect(array_sum(array_column($bar->chords, 'ticks')))->toBe(Meter::parse($meter)->barTicks());
        }
        foreach ($reading->problems as $problem) {
            /** @var ChartProblem $problem */
            expect($problem->at)->toBeGreaterThanOrEqual(0)->and($problem->at + $problem->length)->toBeLessThanOrEqual(mb_strlen($line))
                ->and($problem->length)->toBeGreaterThan(0)->and($problem->bar)->toBeLessThan(count($reading->bars));
        }
    }
})->with(['4/4', '3/4', '12/8', '7/8']);

/** @return array<string, mixed> a document that somebody might make */
function someDocument(Random\Randomizer $chance): array
{
    $meter = pick($chance, Meter::KNOWN);
    $grid = pick($chance, [1, 2, 3, 4]);
    $slots = typedFrom($chance, ['.'], 0);
    for ($slot = Meter::parse($meter)->beats() * $grid; $slot > 0; $slot--) {
        $slots .= pick($chance, ['.', 'x', 'X', 'c', 'g']);
    }

    return Examples::document([
        'meter' => $meter,
        'tempo' => $chance->getInt(20, 400),
        'feel' => [
            'mode' => pick($chance, ['fixed', 'follows-tempo']),
            'ratio' => $chance->getInt(70, 300) / 100,
            'unit' => pick($chance, ['eighth', 'sixteenth']),
        ],
        'tuning' => pick($chance, ['standard', 'drop-d', 'open-g', 'seven-string', 'tenor']),
        'capo' => $chance->getInt(0, 4),
        'company' => pick($chance, ['with-bass', 'shell']),
        'school' => pick($chance, ['pendulum', 'all-down']),
        'sections' => [[
            'name' => 'A',
            'line' => pick($chance, ['| Dm | A7 |', '| Gm7 | N.C. | C9 |', '| F |', '| % | Dm ', '| Dm6 | Hx | A7♭9 |']),
        ]],
    ], $slots, $grid);
}

it('plays out whatever can be written, in order and in tune', function (int $seed): void {
    $chance = chance($seed);
    for ($i = 0; $i < 12; $i++) {
        $breakdown = (new BreakdownJson())->read(someDocument($chance));
        $timeline = (new Performer())->perform($breakdown);
        $open = $breakdown->neck->openMidi();
        $before = 0.0;
        $rings = [];
        foreach ($timeline->events as $event) {
            /** @var Event $event */
            expect($event->t)->toBeGreaterThanOrEqual($before)
                ->and($event->dur)->toBeGreaterThan(0)
                ->and($event->velocity)->toBeBetween(0, 1);
            $before = $event->t;
            if ($event->string !== null) {
                $string = count($open) - $event->string;
                expect($event->pitch)->toBe($event->kind->value === 'chuck' ? null : $open[$string] + (int) $event->fret)
                    ->and($rings[$event->string] ?? 0.0)->toBeLessThanOrEqual($event->t + 0.06);
                $rings[$event->string] = $event->t + $event->dur;
            }
        }
        expect((new MidiFile())->write($breakdown, $timeline))->toStartWith('MThd');
    }
})->with([11, 12, 13, 14]);

it('gives every stroke a direction, and every pass of the pendulum one stroke or air', function (int $seed): void {
    $chance = chance($seed);
    for ($i = 0; $i < 60; $i++) {
        $meter = pick($chance, ['2/4', '3/4', '4/4', '5/4']);
        $grid = pick($chance, [2, 4]);
        $slots = '';
        for ($slot = Meter::parse($meter)->beats() * $grid; $slot > 0; $slot--) {
            $slots .= pick($chance, ['.', '.', 'x', 'c']);
        }
        $pattern = Examples::pattern($slots, $meter, $grid);
        $plan = (new HandPlanner())->plan(
            $pattern,
            School::Pendulum,
            new Ruler($pattern->meter, new Tempo(90), Feel::straight()),
            Feel::straight(),
        );
        $passes = [];
        foreach ([...$plan->pattern->strokes(), ...$plan->air] as $stroke) {
            expect($passes[$stroke->at] ?? null)->toBeNull();
            $passes[$stroke->at] = $stroke->direction;
        }
        ksort($passes);
        $expected = array_map(
            static fn (int $place): Direction => $place % 2 === 0 ? Direction::Down : Direction::Up,
            array_keys(array_values($passes)),
        );
        expect(array_values($passes))->toBe($expected);
    }
})->with([21, 22]);

it('accounts for every stroke planned and played, whatever was played', function (int $seed): void {
    $chance = chance($seed);
    for ($i = 0; $i < 10; $i++) {
        $timeline = (new Performer())->perform(Examples::breakdown(
            ['tempo' => $chance->getInt(50, 220), 'feel' => Examples::swing($chance->getInt(100, 250) / 100)],
            'x.xcxxgx',
        ));
        $taps = array_map(static fn (): float => $chance->getInt(0, 16_000) / 1000, range(0, $chance->getInt(0, 80)));
        $report = (new LockReporter())->report(
            Take::read($taps),
            $timeline,
            Gravik\Time\SwingUnit::Eighth,
            pick($chance, [null, 0.0, 40.0]),
        );

        expect($report->matched + $report->missed)->toBe($report->planned)
            ->and($report->matched + $report->extra)->toBe($report->played)
            ->and(array_sum(array_map(static fn ($slot): int => $slot->n, $report->slots)))->toBe($report->matched)
            ->and(array_sum(array_map(static fn ($slot): int => $slot->missed, $report->slots)))->toBe($report->missed)
            ->and(array_sum(array_map(static fn ($slot): int => $slot->extra, $report->slots)))->toBe($report->extra)
            ->and($report->findings)->not->toBe([]);
    }
})->with([31, 32, 33]);

it('reads a broken document as a breakdown or refuses it with a place, and never falls over', function (int $seed): void {
    $chance = chance($seed);
    $junk = [null, true, -1, 0, 7, 1e9, 0.1, '', 'x', '4/4', [], [[]], ['a' => 1], str_repeat('long ', 200), "\xFF"];
    $break = static function (mixed $value) use (&$break, $chance, $junk): mixed {
        if (! is_array($value) || $value === [] || $chance->getInt(0, 5) === 0) {
            return pick($chance, $junk);
        }
        $key = pick($chance, array_keys($value));
        if ($chance->getInt(0, 6) === 0) {
            unset($value[$key]);

            return $value;
        }
        $value[$key] = $break($value[$key]);

        return $value;
    };
    $refused = 0;
    for ($i = 0; $i < 250; $i++) {
        $document = $break(someDocument($chance));
        try {
            $breakdown = (new BreakdownJson())->read($document);
            expect($breakdown)->toBeInstanceOf(Breakdown::class);
            try {
                (new Performer())->perform($breakdown);
            } catch (CoreException $problem) {
                expect($problem->getMessage())->not->toBe('');
            }
        } catch (DocumentNotReadable $problem) {
            expect($problem->getMessage())->not->toBe('')
                ->and($problem->pointer === '' || str_starts_with($problem->pointer, '/'))->toBeTrue();
            $refused++;
        }
    }
    expect($refused)->toBeGreaterThan(150);
})->with([41, 42]);
