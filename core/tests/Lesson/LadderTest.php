<?php

declare(strict_types=1);

use Gravik\Lesson\Ladder;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\LadderStep;
use Gravik\Lesson\LessonException;
use Gravik\Lesson\Pause;
use Gravik\Lesson\UsualPractice;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

function ladder(float $start, float $goal, float $minutes, LadderMode $mode = LadderMode::Gated, float $step = 5, int $bars = 4): Ladder
{
    return (new LadderPlanner())->plan(new Tempo($start), new Tempo($goal), $minutes, Meter::parse('4/4'), $mode, $step, $bars);
}

/** @return list<int> */
function tempos(Ladder $ladder): array
{
    return array_map(static fn (LadderStep $step): int => $step->bpm, $ladder->steps);
}

/** @return list<int> */
function cyclesOf(Ladder $ladder): array
{
    return array_map(static fn (LadderStep $step): int => $step->cycles, $ladder->steps);
}

it('fills the minutes with cycles, the fastest tempos first, until not one more would fit', function (): void {
    $ladder = ladder(72, 132, 9);
    $cycles = cyclesOf($ladder);
    $longest = 16 / 60 * 60 / 72;

    expect(max($cycles) - min($cycles))->toBeLessThanOrEqual(1)->and(min($cycles))->toBeGreaterThan(2)
        ->and($cycles)->toBe((static function (array $rising): array {
            sort($rising);

            return $rising;
        })($cycles))
        ->and($ladder->minutes())->toBeBetween(9 - $longest, 9.0)
        ->and($ladder->added())->toBe(array_sum($cycles) - 2 * count($cycles))
        ->and(ladder(60, 180, 3)->added())->toBe(0)->and(ladder(90, 120, 4, LadderMode::Ramp)->added())->toBe(0);
});

it('stays on a tempo until the cycles planned there are played and the last two are clean', function (): void {
    $ladder = new Ladder(LadderMode::Gated, [new LadderStep(80, 4, 4, 48), new LadderStep(90, 4, 3, 32)], 90, true);

    expect($ladder->stepAfter([true, true, true]))->toBe(0)->and($ladder->stepAfter([true, true, true, true]))->toBe(1)
        ->and($ladder->stepAfter([true, true, true, false]))->toBe(0)->and($ladder->stepAfter([true, false, true, false, true, true]))->toBe(1)
        ->and($ladder->stepAfter([true, true, true, true, false, false]))->toBe(0);
});

it('climbs in equal steps, two cycles to each, as the formula has it', function (): void {
    $ladder = ladder(72, 132, 4.72);
    $count = (int) ceil(log(132 / 72) / log(1.05));

    expect(tempos($ladder))->toBe(array_map(static fn (int $i): int => (int) round(72 * (132 / 72) ** ($i / $count)), range(0, $count)))
        ->and($ladder->minutes())->toEqualWithDelta(
            array_sum(array_map(static fn (int $bpm): float => 2 * 16 / $bpm, tempos($ladder))),
            1e-9,
        )
        ->and($ladder->fits)->toBeTrue()
        ->and($ladder->minutes())->toBeLessThanOrEqual(4.72);
});

it('takes larger steps when time is short, the smallest that will do, and never larger than the hand can follow', function (): void {
    $unhurried = ladder(80, 160, 60, step: 3);
    $short = ladder(80, 160, 5, step: 3);
    $oneMore = array_sum(array_map(
        static fn (int $i): float => 2 * 16 / round(80 * 2 ** ($i / count($short->steps))),
        range(0, count($short->steps)),
    ));

    expect(count($unhurried->steps))->toBe(25)
        ->and($short->fits)->toBeTrue()->and($short->minutes())->toBeLessThanOrEqual(5.0)
        ->and($oneMore)->toBeGreaterThan(5.0)
        ->and(2 ** (1 / (count($short->steps) - 1)) - 1)->toBeLessThanOrEqual(0.0801);
});

it('says how far the minutes carry where they are too few', function (): void {
    $ladder = ladder(60, 180, 3);

    expect($ladder->fits)->toBeFalse()
        ->and($ladder->minutes())->toBeLessThanOrEqual(3.0)
        ->and(tempos($ladder)[count($ladder->steps) - 1])->toBe($ladder->goal)
        ->and($ladder->goal)->toBeGreaterThan(60)->toBeLessThan(180)
        ->and(ladder(60, $ladder->goal, 3, step: 8)->fits)->toBeTrue()
        ->and(ladder(60, $ladder->goal + 1, 3, step: 8)->fits)->toBeFalse();
});

it('rises every cycle on a ramp and arrives on time; bursts go by turns', function (): void {
    $ramp = ladder(90, 120, 4, LadderMode::Ramp);
    $bursts = ladder(70, 140, 4, LadderMode::Bursts, bars: 8);

    expect($ramp->steps[0]->bpm)->toBe(90)->and(tempos($ramp)[count($ramp->steps) - 1])->toBe(120)
        ->and(tempos($ramp))->toBe((static function (array $all): array {
            sort($all);

            return $all;
        })(tempos($ramp)))
        ->and($ramp->minutes())->toBeBetween(3.8, 4.0)
        ->and(array_slice(
            array_map(static fn (LadderStep $step): array => [$step->bpm, $step->bars], $bursts->steps),
            0,
            4,
        ))->toBe([[70, 8], [140, 2], [70, 8], [140, 2]])
        ->and($bursts->minutes())->toEqualWithDelta(
            count($bursts->steps) / 2 * (32 / 70 + 8 / 140),
            1e-9,
        )->toBeBetween(4.0 - 32 / 70 - 8 / 140, 4.0);
});

it('climbs after two clean cycles in a row, drops after two that are not, and stays down on a day that hurts', function (array $clean, bool $climbs, int $step): void {
    $two = array_map(static fn (LadderStep $each): LadderStep => new LadderStep($each->bpm, 4, 2, 20), ladder(72, 132, 9)->steps);

    expect((new Ladder(LadderMode::Gated, $two, 132, true))->stepAfter($clean, $climbs))->toBe($step);
})->with([
    'nothing yet' => [[], true, 0],
    'one is not enough' => [[true], true, 0],
    'two climb' => [[true, true], true, 1],
    'four climb twice' => [[true, true, true, true], true, 2],
    'by turns nothing moves' => [[true, false, true, false], true, 0],
    'two unclean drop' => [[true, true, true, true, false, false], true, 1],
    'never below the first' => [[false, false, false, false], true, 0],
    'it hurts' => [[true, true, true, true], false, 0],
    'never above the last' => [array_fill(0, 90, true), true, 13],
]);

it('refuses what is no ladder', function (float $start, float $goal, float $minutes, float $step, int $bars, string $says): void {
    expect(fn () => ladder($start, $goal, $minutes, LadderMode::Gated, $step, $bars))->toThrow(LessonException::class, $says);
})->with([
    [100, 90, 5, 5, 4, 'goes up'],
    [80, 90, 0, 5, 4, 'minutes'],
    [80, 90, 5, 20, 4, 'step'],
    [80, 90, 5, 5, 0, 'bars'],
    [40, 90, 1, 5, 64, 'over before'],
]);

it('raises start and goal together by one step, for the next time', function (): void {
    expect(ladder(80, 120, 20)->raised())->toBe([84, 126])
        ->and(ladder(60, 180, 3)->raised()[1])->toBe((int) round(1.05 * ladder(60, 180, 3)->goal));
});

it('follows every cycle with the next on a ramp, and stays on its slow tempo on a day that hurts', function (): void {
    $ramp = ladder(90, 120, 4, LadderMode::Ramp);

    expect($ramp->stepAfter([]))->toBe(0)
        ->and($ramp->stepAfter([false, true, false]))->toBe(3)
        ->and($ramp->stepAfter(array_fill(0, 200, false)))->toBe(count($ramp->steps) - 1)
        ->and($ramp->stepAfter([true, true], false))->toBe(0);
});

it('stays on the slow tempo where the minutes hold no step more', function (): void {
    expect(tempos(ladder(60, 70, 1)))->toBe([60])->and(ladder(60, 70, 1)->fits)->toBeFalse()
        ->and(tempos(ladder(60, 70, 1, LadderMode::Ramp, bars: 12)))->toBe([60]);
});

it('has one step where start and goal are one', function (): void {
    expect(tempos(ladder(100, 100, 5)))->toBe([100])->and(ladder(100, 100, 5)->fits)->toBeTrue();
});

it('asks for a rest after the minutes set, for loose hands now and then, and ends when the minutes are over', function (int $cycles, float $played, float $rested, ?Pause $expected): void {
    expect(Pause::after($cycles, $played, $rested, 45, 25))->toBe($expected);
})->with([
    'nothing played' => [0, 0, 0, null],
    'one cycle' => [1, 60, 0, null],
    'six cycles' => [6, 360, 0, Pause::Tension],
    'twenty-five minutes, and six cycles' => [24, 1500, 0, Pause::Rest],
    'rested a minute ago' => [25, 1560, 1500, null],
    'the minutes are over' => [30, 2700, 1500, Pause::Over],
]);

it('swings its pulse over more beats as it grows too fast to move with', function (int $bpm, int $beats): void {
    expect((new LadderStep($bpm, 4, 1, 10.0))->pulseBeats())->toBe($beats);
})->with([[60, 1], [159, 1], [160, 4], [239, 4], [240, 8], [400, 8]]);

it('begins to practise at three fifths of the tempo, and asks for a rest after twenty-five minutes', function (): void {
    $usual = new UsualPractice();

    expect($usual->startShare * 200)->toBe(120.0)
        ->and(Pause::after(24, 60 * $usual->restAfter, 0, 45, $usual->restAfter))->toBe(Pause::Rest)
        ->and([$usual->minutes, $usual->bars, $usual->restAfter])->toBe([9, 4, 25])
        ->and(ladder($usual->startShare * 120, 120, $usual->minutes, bars: $usual->bars)->fits)->toBeTrue();
});

it('uses the minutes to the second', function (): void {
    // Fifteen bars at 60 are a minute, twice.
    expect(ladder(60, 60, 2, bars: 15)->fits)->toBeTrue()->and(ladder(60, 60, 2, bars: 15)->minutes())->toBe(2.0)
        ->and(fn () => ladder(60, 60, 1.999, bars: 15))->toThrow(LessonException::class);
});

it('begins to count two in a row anew after every step', function (array $clean, int $at): void {
    $ladder = ladder(100, 140, 2.4);

    expect(cyclesOf($ladder)[0])->toBe(2)->and($ladder->stepAfter($clean))->toBe($at);
})->with([
    [[true], 0], [[true, true], 1], [[true, true, true], 1], [[true, true, true, true], 2], [[true, false, true, false], 0],
    [[true, true, false], 1], [[true, true, false, false], 0], [[false, false, true, true], 1], [[true, false, true, true], 1],
]);
