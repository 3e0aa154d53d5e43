<?php

declare(strict_types=1);

use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\AirStroke;
use Gravik\Strokes\Hand\Crossings;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\LimitKind;
use Gravik\Strokes\Hand\TempoLimit;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Measures;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

function planned(Pattern $pattern, School $school = School::Pendulum, float $bpm = 100, float $ratio = 1): HandPlan
{
    $feel = Feel::fixed($ratio);

    return (new HandPlanner())->plan($pattern, $school, new Ruler($pattern->meter, new Tempo($bpm), $feel), $feel);
}

/** One sign a slot: D U struck, d u air, . the hand turns. */
function handLine(HandPlan $plan): string
{
    $slots = array_fill(0, intdiv($plan->pattern->ticks, $plan->pattern->slotTicks()), '.');
    foreach ($plan->air as $air) {
        $slots[intdiv($air->at, $plan->pattern->slotTicks())] = $air->direction === Direction::Down ? 'd' : 'u';
    }
    foreach ($plan->pattern->strokes() as $stroke) {
        $slots[intdiv($stroke->at, $plan->pattern->slotTicks())] = $stroke->direction === Direction::Down ? 'D' : 'U';
    }

    return implode('', $slots);
}

it('rocks the hand: down on the grid, up off it, through air where nothing is struck', function (string $slots, string $meter, int $grid, string $hand): void {
    expect(handLine(planned(Examples::pattern($slots, $meter, $grid))))->toBe($hand);
})->with([
    'eighths' => ['x.xx.xxx', '4/4', 2, 'DuDUdUDU'],
    'off-beats alone are all up' => ['.x.x.x.x', '4/4', 2, 'dUdUdUdU'],
    'beats alone keep rocking at the eighth rate' => ['xxxx', '4/4', 1, 'DDDD'],
    'sixteenths' => ['x..xx.x.', '2/4', 4, 'DudUDuDu'],
    'eighths written on a sixteenth grid' => ['x.x.x.x.', '2/4', 4, 'D.U.D.U.'],
    'triplets: down on the beat, up on the last third' => ['x.xx.x', '2/4', 3, 'D.UD.U'],
    'a full triplet starts down again on every beat' => ['xxxx.x', '2/4', 3, 'DUDD.U'],
    'sixths' => ['xxxxxxx.....', '2/4', 6, 'DUDUDUDududu'],
    'twelve eight' => ['x..x.x', '6/8', 3, 'D.uD.U'],
]);

it('strikes everything down and has no air when asked to', function (): void {
    $plan = planned(Examples::pattern('x.xx.xxx'), School::AllDown);

    expect(handLine($plan))->toBe('D.DD.DDD')->and($plan->air)->toBe([]);
});

it('keeps a direction that the teacher fixed and says where it stops the hand', function (): void {
    $strokes = [
        new Stroke(0, 2),
        new Stroke(480, 2, direction: Direction::Down, fixed: ['direction']),
        new Stroke(960, 2, direction: Direction::Up),
    ];
    $plan = planned(new Pattern(Meter::parse('2/4'), 1920, [new Stream('strum', $strokes)]));

    expect(handLine($plan))->toBe('DDDu')
        ->and(array_map(
            static fn (Warning $warning): array => [$warning->kind->value, $warning->at],
            $plan->warnings,
        ))->toBe([['breaks-the-swing', [480]]]);
});

it('says what gets hard at a tempo, by the rate of strokes', function (string $slots, int $grid, School $school, float $bpm, array $kinds): void {
    expect(array_map(
        static fn (Warning $warning): string => $warning->kind->value,
        planned(Examples::pattern($slots, '4/4', $grid), $school, $bpm)->warnings,
    ))->toBe($kinds);
})->with([
    'eighths all down, 4 a second' => ['xxxxxxxx', 2, School::AllDown, 120, []],
    'eighths all down, over 4' => ['xxxxxxxx', 2, School::AllDown, 126, ['same-direction']],
    'the pendulum halves it' => ['xxxxxxxx', 2, School::Pendulum, 126, []],
    'sixteenths at 8 a second' => ['xxxxxxxxxxxxxxxx', 4, School::Pendulum, 120, []],
    'sixteenths beyond' => ['xxxxxxxxxxxxxxxx', 4, School::Pendulum, 130, ['same-direction', 'total-rate']],
]);

it('warns of a swing whose short note is too short', function (): void {
    expect(planned(Examples::pattern('x.x.x.x.'), School::Pendulum, 200, 3)->warnings[0]->kind->value)->toBe('short-note');
});

it('measures density, muting, syncopation and rate', function (string $slots, string $meter, float $density, float $muted, float $syncopation): void {
    $pattern = Examples::pattern($slots, $meter);
    $measures = Measures::of($pattern, new Ruler($pattern->meter, new Tempo(60), Feel::straight()));

    expect([$measures->density, $measures->mutedShare, $measures->syncopation])->toBe([$density, $muted, $syncopation])
        ->and($measures->strokesASecond)->toEqualWithDelta($density / Meter::parse($meter)->beats(), 1e-9);
})->with([
    ['x.xx.xxx', '4/4', 6.0, 0.0, 2.0],
    'on the beat nothing is syncopated' => ['x.x.x.x.', '4/4', 4.0, 0.0, 0.0],
    'an off-beat before a silent bar line counts most' => ['.......x', '4/4', 1.0, 0.0, 3.0],
    'chucks are muted' => ['x.cxx.cx', '4/4', 6.0, 1 / 3, 0.0],
    'two bars are averaged' => ['x.......x.x.x.x.', '4/4', 2.5, 0.0, 0.0],
]);

it('numbers air strokes with their place', function (): void {
    $air = planned(Examples::pattern('x.x.'.'....'))->air;

    expect(array_map(static fn (AirStroke $stroke): int => $stroke->at, $air))->toBe([480, 1440, 1920, 2400, 2880, 3360]);
});

it('counts a crossing only where the string changes, and the long way round where the pick does not fall through', function (array $strings, int $count, int $around): void {
    $strokes = array_map(
        static fn (int $string, int $place): Stroke => new Stroke($place * 480, 2, direction: Direction::Down, strings: [$string]),
        $strings,
        array_keys($strings),
    );
    $crossings = Crossings::of($strokes);

    expect([$crossings->count, $crossings->around])->toBe([$count, $around]);
})->with([
    'one string' => [[3, 3, 3], 0, 0],
    'falling through to higher strings, and once back' => [[5, 4, 3], 3, 1],
    'climbing to lower strings against the pick' => [[3, 4, 5], 3, 2],
]);

it('plays what the library calls thumb and brushes with thumb and fingers, and a picked bass with the pick', function (): void {
    $ways = [];
    foreach (PatternLibrary::all() as $entry) {
        foreach (count($entry->pattern->streams) === 2 ? $entry->pattern->streams : [] as $stream) {
            foreach ($stream->strokes as $stroke) {
                $ways[$entry->school->value][$stream->name][$stroke->by->value] = true;
            }
        }
    }

    expect(array_keys($ways['thumb-fingers']['thumb']))->toBe(['thumb'])->and(array_keys($ways['thumb-fingers']['brushes']))->toBe(['fingers'])
        ->and(array_keys($ways['pick-fingers']['bass'] ?? ['pick' => 1]))->toBe(['pick'])
        ->and(array_keys($ways['pick-fingers']['upper'] ?? ['fingers' => 1]))->toBe(['fingers']);
    foreach (array_diff_key($ways, ['thumb-fingers' => 1, 'pick-fingers' => 1]) as $streams) {
        expect(array_map(array_keys(...), array_values($streams)))->each->toBe(['pick']);
    }
});

it('knows the other way, and how fast a pattern may go: none that has no strokes', function (): void {
    expect([Direction::Down->opposite(), Direction::Up->opposite()])->toBe([Direction::Up, Direction::Down])
        ->and(TempoLimit::of(new Pattern(Meter::parse('4/4'), 3840, [new Stream('s', [])])))->toBeNull();
    $upsOnly = TempoLimit::of(planned(Examples::pattern('.x.x.x.x'))->pattern);
    // One stroke a beat, all up: four a second are easy at 240, six and a half hard at 390.
    expect([$upsOnly?->easyTo, $upsOnly?->hardTo, $upsOnly?->why])->toBe([240.0, 390.0, LimitKind::SameDirection]);
});
