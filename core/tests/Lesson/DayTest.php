<?php

declare(strict_types=1);

use Gravik\Lesson\Day\DayItem;
use Gravik\Lesson\Day\DayPlanner;
use Gravik\Lesson\Day\Due;
use Gravik\Lesson\Day\HearingDose;
use Gravik\Lesson\Day\Upkeep;
use Gravik\Lesson\Failure\DayMinutesOutOfRange;
use Gravik\Lesson\Failure\LoudnessOutOfRange;

/** @param list<DayItem> $items */
function minutesOf(array $items): int
{
    return array_sum(array_map(static fn (DayItem $item): int => $item->minutes, $items));
}

/**
 * The best worth of all plans, by trying each: what is in it, how long, and where breaks stand.
 *
 * @param list<Due> $left in the order of their hardness
 */
function bestByTrying(array $left, int $minutes, int $inARow = 0): float
{
    if ($left === []) {
        return 0.0;
    }
    $due = array_shift($left);
    $best = bestByTrying($left, $minutes, $inARow);
    foreach ([0, 1, 2, 3, 4] as $step) {
        $length = $due->least + (int) round($step * ($due->wanted - $due->least) / 4);
        foreach ([0, 5] as $rest) {
            $row = $rest === 0 ? $inARow + $length : $length;
            if ($rest + $length <= $minutes && $row <= 25 && ($rest === 0 || $inARow > 0)) {
                $best = max($best, $due->urgency + 0.001 * $length + bestByTrying($left, $minutes - $rest - $length, $row));
            }
        }
    }

    return $best;
}

it('finds the best day of all there are', function (int $seed): void {
    mt_srand($seed);
    $due = [];
    for ($place = 0; $place < 5; $place++) {
        $due[] = mt_rand(0, 2) === 0
            ? Due::check("c{$place}", mt_rand(-1, 9), 4)
            : Due::assignment("a{$place}", mt_rand(3, 30), [null, -2, 0, 1, 6][mt_rand(0, 4)], [null, false, true][mt_rand(0, 2)], 90.0);
    }
    $minutes = mt_rand(10, 60);
    $plan = (new DayPlanner())->plan($due, $minutes);
    usort($due, static fn (Due $a, Due $b): int => [$b->hardness, $b->urgency, $a->id] <=> [$a->hardness, $a->urgency, $b->id]);

    expect(DayPlanner::worth($plan))->toEqualWithDelta(bestByTrying($due, $minutes), 1e-9)
        ->and(minutesOf($plan))->toBeLessThanOrEqual($minutes);
})->with(range(1, 12));

it('plays the hardest first and rests before more than 25 minutes in a row', function (): void {
    $plan = (new DayPlanner())->plan([
        Due::check('old', 3, 8),
        Due::assignment('easy', 12, 2, true, 96.5),
        Due::assignment('new', 12, 5, null),
        Due::assignment('stuck', 12, 1, false, 80.0),
    ], 60);
    $told = array_map(static fn (DayItem $item): string => $item->of->id ?? 'break', $plan);
    $inARow = 0;
    foreach ($plan as $item) {
        $inARow = $item->isBreak() ? 0 : $inARow + $item->minutes;
        expect($inARow)->toBeLessThanOrEqual(25);
    }

    expect(array_values(array_diff($told, ['break'])))->toBe(['stuck', 'new', 'easy', 'old'])
        ->and($told)->toContain('break')->and(end($told))->not->toBe('break')
        ->and($plan[0]->of?->reason)->toBe('not there yet, due tomorrow')
        ->and(array_values(array_filter($plan, static fn (DayItem $item): bool => $item->of?->id === 'old'))[0]->of?->reason)
        ->toBe('check after 8 days, 3 days late');
});

it('keeps what is late and leaves what can wait where not all fits', function (): void {
    $plan = (new DayPlanner())->plan([
        Due::assignment('later', 10, 9, false, 80.0),
        Due::assignment('late', 10, -1, true, 90.0),
        Due::check('held', 5, 4),
    ], 10);

    expect(array_map(static fn (DayItem $item): ?string => $item->of?->id, $plan))->toBe(['late', 'held']);
});

it('plans short things on a day on which the hand hurts', function (): void {
    $plan = (new DayPlanner())->plan([Due::assignment('a', 25, 0, false), Due::assignment('b', 25, 0, null)], 60, true);

    expect(max(array_map(static fn (DayItem $item): int => $item->minutes, $plan)))->toBe(5);
});

it('refuses a day of no minutes and one without end', function (int $minutes): void {
    (new DayPlanner())->plan([], $minutes);
})->with([9, 91])->throws(DayMinutesOutOfRange::class, 'A day of practice has 10 to 90 minutes');

it('fills ninety minutes from thirty things and takes no more', function (): void {
    $due = array_map(static fn (int $place): Due => Due::assignment("a{$place}", 20, $place % 7, [null, false, true][$place % 3]), range(1, 30));

    expect(minutesOf((new DayPlanner())->plan($due, 90)))->toBeLessThanOrEqual(90)->toBeGreaterThanOrEqual(85);
});

it('brings back what was passed after 2, 4, 8, 16 and 30 days, and sooner where it no longer holds', function (): void {
    $day = new DateTimeImmutable('2026-03-27 18:00');
    $upkeep = Upkeep::begun($day);
    $days = [];
    for ($check = 0; $check < 6; $check++) {
        $days[] = $upkeep->days;
        $upkeep = $upkeep->played(true, $upkeep->due);
    }
    $failed = $upkeep->played(false, $upkeep->due);

    expect($days)->toBe([2, 4, 8, 16, 30, 30])->and(Upkeep::begun($day)->due->format('Y-m-d H:i'))->toBe('2026-03-29 00:00')
        ->and($failed->days)->toBe(15)->and($failed->played(true, $failed->due)->days)->toBe(16)
        ->and(Upkeep::of(2, $day)->played(false, $day)->days)->toBe(1)
        ->and(Upkeep::of(1, $day)->played(false, $day)->days)->toBe(1)->and(Upkeep::of(1, $day)->played(true, $day)->days)->toBe(2);
});

it('counts from the day on which a check was taken, however late', function (): void {
    $due = new DateTimeImmutable('2026-10-20');
    $taken = new DateTimeImmutable('2026-10-30 23:59');
    $upkeep = Upkeep::of(4, $due);

    expect($upkeep->daysLate($taken))->toBe(10)->and($upkeep->daysLate(new DateTimeImmutable('2026-10-19 08:00')))->toBe(-1)
        ->and($upkeep->played(false, new DateTimeImmutable('2026-10-19 23:00')))->toBe($upkeep)
        ->and($upkeep->played(true, $taken)->due->format('Y-m-d'))->toBe('2026-11-07')
        ->and($upkeep->played(false, $taken)->due->format('Y-m-d'))->toBe('2026-11-01');
});

it('halves the time allowed with every 3 dB', function (float $level, float $minutes): void {
    expect(HearingDose::allowedMinutes($level))->toEqualWithDelta($minutes, 1e-9);
})->with([[85, 480], [88, 240], [91, 120], [97, 30], [82, 960], [100, 15]]);

it('adds up a day of several loudnesses and says what is left', function (): void {
    $dose = HearingDose::none()->after(12, 97)->after(60, 85);

    expect($dose->share)->toEqualWithDelta(12 / 30 + 60 / 480, 1e-9)
        ->and($dose->minutesLeft(97))->toEqualWithDelta((1 - $dose->share) * 30, 1e-9)
        ->and($dose->after(1000, 97)->minutesLeft(85))->toBe(0.0);
});

it('refuses what no practice room has', function (float $level): void {
    HearingDose::allowedMinutes($level);
})->with([39.9, 131.0])->throws(LoudnessOutOfRange::class);
