<?php

declare(strict_types=1);

use Gravik\Lesson\Log\LoggedTake;
use Gravik\Lesson\Log\PracticeLog;
use Gravik\Lesson\Log\SlotCourse;
use Gravik\Lesson\Log\SlotOfTake;
use Gravik\Lesson\Log\SlotRuns;
use Gravik\Lesson\Log\TakenCheck;
use Gravik\Lesson\NextTempo;

/** @param list<array{string, float, bool}> $takes day, tempo, passed */
function logged(array $takes, string $stage = 'both'): array
{
    return array_map(
        static fn (array $take): LoggedTake => new LoggedTake(new DateTimeImmutable("2026-10-{$take[0]} 17:00"), $stage, $take[1], $take[2], 40.0),
        $takes,
    );
}

/** @param list<array{float, float}> $takes bias and spread of one slot */
function slotOver(array $takes, string $name = '2&'): array
{
    return array_map(static fn (array $take): array => [new SlotOfTake($name, $take[0], $take[1])], $takes);
}

it('keeps the fastest clean tempo of each stage, its day and what it was two weeks ago', function (): void {
    $takes = [...logged([['01', 60, false], ['02', 70, true], ['04', 64, true], ['20', 82, true], ['21', 90, false]]), ...logged([['22', 50, false]], 'let go')];
    [$both, $letGo] = (new PracticeLog())->stages($takes, new DateTimeImmutable('2026-10-22 20:00'));

    expect($both->clean)->toBe([null, 70.0, 70.0, 82.0, 82.0])->and($both->now)->toBe(82.0)->and($both->before)->toBe(70.0)
        ->and($both->passed?->format('m-d'))->toBe('10-02')
        ->and($letGo->clean)->toBe([null])->and($letGo->now)->toBeNull()->and($letGo->passed)->toBeNull();
});

it('adds the minutes of a day up', function (): void {
    $minutes = (new PracticeLog())->minutesByDay(logged([['02', 70, true], ['02', 70, true], ['02', 70, false], ['05', 70, true]]));

    expect(array_map(static fn (float $each): float => round($each, 2), $minutes))->toBe(['2026-10-02' => 2.0, '2026-10-05' => 0.67]);
});

it('counts as checks what was played once it was due, each from the day it was taken', function (): void {
    $takes = logged([['01', 70, true], ['02', 70, true], ['03', 70, true], ['06', 70, true], ['08', 70, false], ['11', 70, true], ['12', 70, true]]);
    $checks = (new PracticeLog())->checks($takes, new DateTimeImmutable('2026-10-01 17:00'));

    expect(array_map(static fn (TakenCheck $check): array => [$check->on->format('d'), $check->days, $check->passed], $checks))
        // Passed on the 1st: due on the 3rd, then 4 days on (played late, on the 8th, and failed: half), then on the 10th.
        ->toBe([['03', 2, true], ['08', 4, false], ['11', 2, true]]);
});

it('tells a slot that closes in from one that stands still and one that goes out', function (array $takes, SlotCourse $course, string $words): void {
    [$run] = (new SlotRuns())->of(slotOver($takes), 15.0);

    expect($run->course)->toBe($course)->and($run->words)->toBe($words);
})->with([
    'too few' => [[[-40, 9], [-38, 9]], SlotCourse::TooFew, '38 ms early, too few takes to say more'],
    'within the gate now' => [[[-38, 22], [-26, 18], [-12, 11]], SlotCourse::Holds, '38 to 12 ms early'],
    'closing, still out' => [[[-60, 22], [-44, 18], [-33, 20], [-24, 11]], SlotCourse::Closes, '60 to 24 ms early'],
    'one that went wrong does not turn it' => [[[-31, 9], [-32, 9], [-90, 9], [-31, 9], [-30, 9]], SlotCourse::Stays, '30 ms early, stays'],
    'farther out' => [[[16, 9], [24, 9], [30, 9]], SlotCourse::Widens, '16 to 30 ms late'],
    'to the other side' => [[[-20, 9], [-4, 9], [9, 9]], SlotCourse::Holds, '20 ms early, now 9 ms late'],
]);

it('says which slot stands still, and whether it is habit or looseness', function (float $spread, string $why): void {
    $still = slotOver(array_fill(0, 4, [-31.4, $spread]));
    $closes = slotOver([[-60, 9], [-50, 9], [-40, 9], [-30, 9]], '4&');
    $runs = new SlotRuns();
    $finding = $runs->finding($runs->of(array_map(array_merge(...), $still, $closes), 15.0), 20.0);

    expect($finding?->text)->toBe('2& has stood still for 4 takes')->and($finding?->slot)->toBe('2&')
        ->and($finding?->reason)->toContain('31 ms early, spread '.round($spread).' ms. One slot closes in, this one does not.')->toContain($why)
        ->and($runs->finding($runs->of($closes, 15.0), 20.0))->toBeNull();
})->with([[11.0, 'a habit, not looseness'], [28.0, 'looseness. Slower']]);

it('looks at the latest nine takes, and at a slot only where it was met', function (): void {
    $takes = [...slotOver(array_fill(0, 8, [-31.0, 9.0])), [], ...slotOver([[-30.0, 9.0], [-29.0, 9.0]])];
    [$run] = (new SlotRuns())->of($takes, 15.0);

    expect($run->takes)->toHaveCount(9)->and($run->takes[6])->toBeNull()->and($run->course)->toBe(SlotCourse::Stays);
});

it('says at which tempo to go on', function (array $takes, bool $climbs, int $tempo, string $words): void {
    $next = NextTempo::after([60, 66, 72], array_map(static fn (array $take): array => ['tempo' => (float) $take[0], 'passed' => $take[1]], $takes), $climbs);

    expect($next->tempo)->toBe($tempo)->and($next->words)->toContain($words);
})->with([
    'nothing played' => [[], true, 60, 'Begin at 60'],
    'clean once' => [[[66, true], [66, false]], true, 66, 'once more, and it climbs to 72'],
    'clean once here, once below' => [[[66, true], [60, true]], true, 66, 'once more'],
    'clean twice' => [[[66, true], [66, true]], true, 72, 'on to 72'],
    'clean twice with a hand that hurts' => [[[66, true], [66, true]], false, 66, 'hurts today'],
    'clean at the goal' => [[[72, true], [72, true]], true, 72, 'the goal'],
    'not clean once' => [[[66, false], [66, true]], true, 66, 'Not clean yet at 66'],
    'not clean twice' => [[[66, false], [66, false]], true, 60, 'back to 60'],
    'not clean twice at the foot' => [[[60, false], [60, false]], true, 60, 'Not clean yet'],
    'a tempo between the steps' => [[[70, true], [69, true]], true, 72, 'Clean twice at 66'],
    'slower than the ladder' => [[[40, true]], true, 60, 'Clean once at 60'],
]);
