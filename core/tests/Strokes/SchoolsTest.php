<?php

declare(strict_types=1);

use Gravik\Strokes\Action;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Crossings;
use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\SchoolAdvice;
use Gravik\Strokes\Hand\SchoolInUse;
use Gravik\Strokes\Hand\TempoLimit;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\CountLine;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** @param list<int> $strings of each note in turn */
function roll(array $strings, string $count = '1 trip let 2 trip let'): Pattern
{
    $line = CountLine::parse($count, Meter::parse('2/4'));
    $strokes = [];
    foreach ($line->streams[0]->strokes as $place => $stroke) {
        $strokes[] = $stroke->striking([$strings[$place % count($strings)]], Action::Pick, PlayedBy::Pick);
    }

    return $line->withStreams([new Stream('roll', $strokes)]);
}

function inSchool(Pattern $pattern, School $school, float $bpm = 80): HandPlan
{
    return (new HandPlanner())->plan($pattern, $school, new Ruler($pattern->meter, new Tempo($bpm), Feel::straight()), Feel::straight());
}

function letters(HandPlan $plan): string
{
    return implode(
        '',
        array_map(static fn (Stroke $stroke): string => $stroke->direction === Direction::Down ? 'D' : 'U', $plan->pattern->strokes()),
    );
}

it('turns, or goes on once as it crosses the strings, as the school has it', function (School $school, array $strings, string $expected): void {
    expect(letters(inSchool(roll($strings), $school)))->toBe($expected);
})->with([
    'climbing' => [School::DownDownUp, [4, 3, 2], 'DDUDDU'],
    'falling, mirrored' => [School::DownUpUp, [1, 2, 3], 'DUUDUU'],
    'strict' => [School::Alternate, [4, 3, 2], 'DUDUDU'],
    'on one string there is nothing to go on over' => [School::DownDownUp, [3], 'DUDUDU'],
]);

it('goes on over nothing from a strum, which leaves the pick anywhere', function (School $school): void {
    $places = [[3], Zone::All, [3], Zone::All];
    $strokes = array_map(static fn (int $place): Stroke => new Stroke(480 * $place, 2, strings: $places[$place]), range(0, 3));
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [new Stream('strum', $strokes)]);

    expect(letters(inSchool($pattern, $school)))->toBe('DUDU');
})->with([School::DownDownUp, School::DownUpUp]);

it('comes round fewer strings in the school made for the roll', function (array $strings, School $made, School $other): void {
    $around = static fn (School $school): int => Crossings::of(inSchool(roll($strings), $school)->pattern->strokes())->around;
    expect($around($made))->toBeLessThan($around($other))
        ->and(Crossings::of(inSchool(roll($strings), $made)->pattern->strokes())->count)->toBe(6);
})->with([
    'climbing' => [[4, 3, 2], School::DownDownUp, School::Alternate],
    'falling' => [[1, 2, 3], School::DownUpUp, School::Alternate],
]);

it('gives the bass to the thumb and the upper strings to the fingers', function (): void {
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [
        new Stream(
            'thumb',
            [
                (new Stroke(0, 1))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb),
                (new Stroke(960, 1))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb),
            ],
        ),
        new Stream(
            'brushes',
            [
                (new Stroke(480, 2))->striking(Zone::High, Action::Brush, PlayedBy::Fingers),
                (new Stroke(1440, 2))->striking(Zone::High, Action::Brush, PlayedBy::Fingers),
            ],
        ),
    ]);
    $plan = inSchool($pattern, School::ThumbFingers);

    expect(letters($plan))->toBe('DUDU')
        ->and($plan->warnings)->toBe([])
        ->and(SchoolAdvice::for($pattern)->school)->toBe(School::ThumbFingers);
});

it('names a thumb that doubles, and one that leaves a triplet its first third', function (array $bass, string $fault, string $where): void {
    $pattern = new Pattern(Meter::parse('2/4'), 1920, [
        new Stream(
            'thumb',
            array_map(
                static fn (array $place): Stroke => (new Stroke(...$place))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb),
                $bass,
            ),
        ),
        new Stream('brushes', [(new Stroke(320, 3))->striking(Zone::High, Action::Brush, PlayedBy::Fingers)]),
    ]);
    $warnings = inSchool($pattern, School::ThumbFingers)->warnings;
    $named = array_combine(
        array_map(static fn (Warning $warning): string => $warning->kind->value, $warnings),
        array_column($warnings, 'text'),
    );
    expect($named[$fault] ?? '')->toContain($where);
})->with([
    'doubled' => [[[0, 2], [480, 2]], 'thumb-doubles', '(beat 1, the “ta” of beat 1)'],
    'missing' => [[[960, 1]], 'thumb-missing', 'the first third of beat 1'],
]);

it('keeps a direction that the teacher fixed in every school', function (School $school): void {
    $pattern = Examples::pattern('xxxxxxxx');
    $fixed = $pattern->withStreams([new Stream(
        'strum',
        [new Stroke(0, 2, direction: Direction::Up, fixed: ['direction']), ...array_slice($pattern->streams[0]->strokes, 1)],
    )]);
    expect(letters(inSchool($fixed, $school))[0])->toBe('U');
})->with(School::cases());

it('recommends a school by rule and says why', function (Pattern $pattern, School $school, string $why): void {
    $advice = SchoolAdvice::for($pattern);
    expect($advice->school)->toBe($school)->and($advice->reason)->toContain($why);
})->with([
    'strummed' => [Examples::pattern('x.xx.xxx'), School::Pendulum, 'never stops'],
    'beats' => [Examples::pattern('x.x.x.x.'), School::AllDown, 'same weight'],
    'upbeats' => [Examples::pattern('.x.x.x.x'), School::Pendulum, 'either direction'],
    'climbing' => [roll([4, 3, 2]), School::DownDownUp, 'climbs'],
    'falling' => [roll([1, 2, 3]), School::Alternate, 'falls'],
]);

it('knows to which tempo a school holds, and what gives out first', function (string $slots, School $school, float $easyTo, float $hardTo, string $why): void {
    $limit = TempoLimit::of(inSchool(Examples::pattern($slots), $school)->pattern);
    expect($limit?->easyTo)->toEqualWithDelta($easyTo, 1e-9)
        ->and($limit?->hardTo)->toEqualWithDelta($hardTo, 1e-9)
        ->and($limit?->why->value)->toBe($why);
})->with([
    // Eight strokes a bar, all down: 4 a second at 120.
    'all down' => ['xxxxxxxx', School::AllDown, 120.0, 195.0, 'same-direction'],
    'pendulum halves it' => ['xxxxxxxx', School::Pendulum, 240.0, 360.0, 'total'],
]);

it('warns at a tempo beyond the limit and not below it', function (): void {
    $kinds = static fn (float $bpm): array => array_map(
        static fn (Warning $warning): string => $warning->kind->value,
        inSchool(Examples::pattern('xxxxxxxx'), School::AllDown, $bpm)->warnings,
    );
    expect($kinds(119))->toBe([])->and($kinds(121))->toBe(['same-direction']);
});

it('names thirds among halves in one beat, and nothing where two lines share the beat or each has its own', function (array $lines, array $at): void {
    $streams = array_map(
        static fn (array $places): Stream => new Stream(
            'line',
            array_map(static fn (array $place): Stroke => new Stroke(...$place), $places),
        ),
        $lines,
    );
    $named = array_filter(
        inSchool(new Pattern(Meter::parse('2/4'), 1920, $streams), School::Pendulum)->warnings,
        static fn (Warning $warning): bool => $warning->kind->value === 'tuplets-overlap',
    );

    expect(array_merge([], ...array_map(static fn (Warning $warning): array => $warning->at, array_values($named))))->toBe($at);
})->with([
    'one third among halves' => [[[[0, 2], [480, 2], [960, 2], [1280, 3], [1440, 2]]], [1280]],
    'one half among thirds' => [[[[320, 3], [480, 2], [640, 3]]], [480]],
    'each in its own beat' => [[[[480, 2], [1280, 3]]], []],
    'in two lines' => [[[[480, 2]], [[320, 3], [640, 3]]], []],
]);

it('shows every school beside the one chosen, and where they part', function (): void {
    $all = SchoolInUse::all(
        roll([4, 3, 2]),
        School::Alternate,
        new Ruler(Meter::parse('2/4'), new Tempo(80), Feel::straight()),
        Feel::straight(),
    );
    $of = static fn (School $school): SchoolInUse => array_values(array_filter(
        $all,
        static fn (SchoolInUse $each): bool => $each->school === $school,
    ))[0];

    // DDUDDU against DUDUDU: the second, third and fourth strokes part.
    expect(array_map(static fn (SchoolInUse $each): School => $each->school, $all))->toBe(School::cases())
        ->and($of(School::Alternate)->differs)->toBe([])
        ->and($of(School::DownDownUp)->differs)->toBe([320, 640, 960])
        ->and($of(School::DownDownUp)->crossings->around)->toBeLessThan($of(School::Alternate)->crossings->around);
});

it('limits the tempo by the fastest stretch of the bar, not by its average', function (): void {
    $pattern = static fn (string $count): Pattern => (new HandPlanner())->plan(
        CountLine::parse($count, Meter::parse('4/4')),
        School::AllDown,
        new Ruler(Meter::parse('4/4'), new Tempo(160), Feel::straight()),
        Feel::straight(),
    )->pattern;
    $gallop = (new HandPlanner())->plan(
        CountLine::parse('1 e & a (2) (3) (4)', Meter::parse('4/4')),
        School::AllDown,
        new Ruler(Meter::parse('4/4'), new Tempo(160), Feel::straight()),
        Feel::straight(),
    );

    expect(TempoLimit::busiest($pattern('1 e & a (2) (3) (4)'), Direction::Down))->toBe(4)
        ->and(TempoLimit::busiest($pattern('1 2 3 4'), Direction::Down))->toBe(1)
        ->and(TempoLimit::busiest($pattern('(1) & 2 & (3) (4)'), null))->toBe(2)
        ->and(TempoLimit::of($pattern('1 e & a (2) (3) (4)'))?->hardTo)->toEqualWithDelta(6.5 * 60 / 4, 1e-9)
        ->and($gallop->warnings[0]->text)->toContain('10.7 strokes a second in one direction');
});

it('counts a crossing once, whether the pick comes round one string or both', function (): void {
    $roll = static fn (string ...$directions): array => array_map(
        static fn (int $place, string $direction): Stroke => (new Stroke(
            480 * $place,
            2,
            direction: Direction::from($direction),
        ))->striking(
            [4 - $place],
            Action::Pick,
            PlayedBy::Pick,
        ),
        array_keys($directions),
        $directions,
    );

    // Back from the highest string to the lowest closes each round.
    expect(Crossings::of($roll('down', 'down', 'up')))->toMatchObject(['count' => 3, 'around' => 2])
        ->and(Crossings::of($roll('up', 'down', 'up')))->toMatchObject(['count' => 3, 'around' => 2]);
});

it('counts crossings by where a zone of the grip lies', function (array $strings, int $count, int $around): void {
    $strokes = array_map(
        static fn (string|array $met, int $place): Stroke => new Stroke(
            480 * $place,
            2,
            strings: is_string($met) ? Zone::from($met) : $met,
            direction: $place % 2 === 0 ? Direction::Down : Direction::Up,
        ),
        $strings,
        array_keys($strings),
    );
    $crossings = Crossings::of($strokes);

    expect([$crossings->count, $crossings->around])->toBe([$count, $around]);
})->with([
    'the lowest string is the sixth' => [['bass', [6]], 0, 0],
    'the low ones lie about the fifth' => [['low', [5]], 0, 0],
    'the middle between the third and fourth' => [['middle', [3, 4]], 0, 0],
    'the high ones about the second' => [['high', [2]], 0, 0],
    'from low to high and back, alternating' => [['low', 'high'], 2, 2],
    'a strum over all leaves the pick anywhere' => [['bass', 'all'], 0, 0],
]);
