<?php

declare(strict_types=1);

use Gravik\Listening\Lock\Matcher;
use Gravik\Listening\Statistics;

/** Pairs and least distance of the best one-to-one, ordered assignment, by trying every one; times in whole ms. */
function bestAssignment(array $places, array $played, int $window): array
{
    $try = static function (int $i, int $j) use (&$try, $places, $played, $window): array {
        if ($i === count($places) || $j === count($played)) {
            return [0, 0];
        }
        $best = max($try($i + 1, $j), $try($i, $j + 1));
        $distance = abs($played[$j] - $places[$i]);
        if ($distance <= $window) {
            [$pairs, $minus] = $try($i + 1, $j + 1);
            $best = max($best, [$pairs + 1, $minus - $distance]);
        }

        return $best;
    };

    return $try(0, 0);
}

/** The rule written down once more, from its words: a shift that follows the median of the last seven. */
function followed(array $planned, array $played, int $window, int $begun): array
{
    [$shift, $shifts, $seen, $used] = [$begun, [], [], -1];
    foreach ($planned as $t) {
        $shifts[] = $shift;
        $near = array_filter(
            $played,
            static fn (int $p, int $i): bool => $i > $used && abs($p - $t - $shift) <= $window,
            ARRAY_FILTER_USE_BOTH,
        );
        uasort($near, static fn (int $a, int $b): int => abs($a - $t - $shift) <=> abs($b - $t - $shift));
        if ($near !== []) {
            $used = array_key_first($near);
            $seen[] = $near[$used] - $t;
            $shift = count($seen) < 3 ? $begun : (int) round(1000 * Statistics::median(array_slice($seen, -7))) / 1000;
            $shift = (int) round($shift);
        }
    }

    return $shifts;
}

it('follows the player and gives strokes to the plan as trying everything does', function (int $seed): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $gap = 200;
    $planned = array_map(static fn (int $slot): int => 1000 + $slot * $gap, range(0, 5));
    $late = 2 * $chance->getInt(-55, 55);
    $played = [];
    foreach ($planned as $index => $t) {
        if ($chance->getInt(0, 9) > 1) {
            $played[] = $t + $late + 2 * $chance->getInt(-30, 30) + 16 * $index;
        }
        if ($chance->getInt(0, 9) > 7) {
            $played[] = $t + 2 * $chance->getInt(-50, 50);
        }
    }
    $played = array_values(array_unique($played));
    sort($played);
    $window = (int) (0.45 * $gap);
    $at = static fn (int $begun): array => bestAssignment(
        array_map(static fn (int $t, int $shift): int => $t + $shift, $planned, followed($planned, $played, $window, $begun)),
        $played,
        $window,
    );
    $shiftWithin = static function (int $farthest) use ($planned, $played, $window): array {
        $tried = [];
        foreach (range(0, $farthest) as $size) {
            foreach ([-$size, $size] as $shift) {
                $tried[bestAssignment(array_map(static fn (int $t): int => $t + $shift, $planned), $played, $window)[0]] ??= $shift;
            }
        }
        krsort($tried);

        return [array_key_first($tried), reset($tried)];
    };
    [$near, $far] = [$shiftWithin(125), $shiftWithin(250)];
    $constant = $far[0] >= $near[0] + 1 ? $far[1] : $near[1];
    $best = $at($constant)[0] > $at(0)[0] ? $at($constant) : $at(0);
    $matching = (new Matcher())->match(
        array_map(static fn (int $ms): float => $ms / 1000, $planned),
        array_map(static fn (int $ms): float => $ms / 1000, $played),
        $gap / 1000,
        0.5,
    );
    $distance = array_sum(array_map(
        static fn (int $i, int $j): float => abs($played[$j] - $planned[$i] - 1000 * $matching->shifts[$i]),
        array_keys($matching->pairs),
        $matching->pairs,
    ));

    expect(count($matching->pairs))->toBe($best[0])->and($distance)->toEqualWithDelta(-$best[1], 3.0);
})->with(range(1, 12));

it('needs clearly more pairs to believe in a shift of nearly half a beat', function (): void {
    // Swung off-beats a little early lie nearer to the beats before, all shifted alike.
    $planned = array_map(static fn (int $beat): float => 0.5 * $beat, range(0, 19));
    $late = array_map(static fn (float $t): float => $t + 0.19, array_slice($planned, 0, 19));
    $mixed = [
        ...array_map(static fn (float $t): float => $t + 0.005, array_slice($planned, 0, 10)),
        ...array_map(static fn (float $t): float => $t + 0.22, array_slice($planned, 9, 11)),
    ];
    sort($mixed);

    expect((new Matcher())->match($planned, $late, 0.5, 0.5)->shifts[0])->toEqualWithDelta(0.07, 0.02)
        ->and((new Matcher())->match($planned, $mixed, 0.5, 0.5)->shifts[0])->toBe(0.0);
});

it('claims no stroke twice, keeps the order, and accounts for every onset', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $planned = array_map(static fn (int $slot): float => $slot * 0.3, range(0, 199));
    $played = array_map(static fn (float $t): float => $t + $chance->getInt(-200, 200) / 1000, $planned);
    sort($played);
    $matching = (new Matcher())->match($planned, $played, 0.3, 0.6);
    $claimed = array_values($matching->pairs);
    $sorted = $claimed;
    sort($sorted);

    expect($claimed)->toBe($sorted)->and(array_unique($claimed))->toHaveCount(count($claimed))
        ->and(count($matching->pairs) + count($matching->missed))->toBe(200)
        ->and(count($matching->pairs) + count($matching->extra))->toBe(200);
});

it('has nothing to pair where nothing was played', function (): void {
    $matching = (new Matcher())->match([0.0, 0.5], [], 0.5, 0.5);

    expect([$matching->pairs, $matching->missed, $matching->extra, $matching->shifts])->toEqual([[], [0, 1], [], [0.0, 0.0]]);
});

it('takes medians and spreads that a wild value does not move', function (): void {
    expect(Statistics::median([3.0, 1.0, 2.0]))->toBe(2.0)
        ->and(Statistics::median([1.0, 2.0, 3.0, 400.0]))->toBe(2.5)
        ->and(Statistics::spread([-1.0, 0.0, 1.0, 500.0]))->toEqualWithDelta(1.4826 * 1.0, 1e-9)
        ->and(Statistics::line([0.0, 1.0, 2.0], [5.0, 7.0, 9.0]))->toEqualWithDelta([5.0, 2.0], 1e-12);
});

it('agrees with the normal distribution about its spread', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(11));
    $values = [];
    for ($i = 0; $i < 4000; $i++) {
        $values[] = 10 * (array_sum(array_map(static fn (): float => $chance->getInt(0, 1_000_000) / 1_000_000, range(1, 12))) - 6);
    }
    [$low, $high] = Statistics::interval(array_slice($values, 0, 200));

    expect(Statistics::spread($values))->toEqualWithDelta(10.0, 0.5)
        ->and($low)->toBeLessThan($high)->and($high - $low)->toBeLessThan(6.0)
        ->and(Statistics::interval(array_slice($values, 0, 200)))->toBe([$low, $high]);
});
