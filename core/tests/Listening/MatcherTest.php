<?php

declare(strict_types=1);

use Gravik\Listening\Matcher;
use Gravik\Listening\Statistics;

/** Pairs and least distance of the best one-to-one, ordered assignment, by trying every one; times in whole ms. */
function bestAssignment(array $planned, array $played, int $window, int $shift): array
{
    $try = static function (int $i, int $j) use (&$try, $planned, $played, $window, $shift): array {
        if ($i === count($planned) || $j === count($played)) {
            return [0, 0];
        }
        $best = max($try($i + 1, $j), $try($i, $j + 1));
        $distance = abs($played[$j] - $planned[$i] - $shift);
        if ($distance <= $window) {
            [$pairs, $minus] = $try($i + 1, $j + 1);
            $best = max($best, [$pairs + 1, $minus - $distance]);
        }

        return $best;
    };

    return $try(0, 0);
}

it('finds the shift that pairs most and then the nearest pairs, as trying everything does', function (int $seed): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $gap = 200;
    $planned = array_map(static fn (int $slot): int => 1000 + $slot * $gap, range(0, 4));
    $late = $chance->getInt(-180, 180);
    $played = [];
    foreach ($planned as $t) {
        if ($chance->getInt(0, 9) > 1) {
            $played[] = $t + $late + $chance->getInt(-70, 70);
        }
        if ($chance->getInt(0, 9) > 7) {
            $played[] = $t + $chance->getInt(-100, 100);
        }
    }
    $played = array_values(array_unique($played));
    sort($played);
    $window = (int) (0.45 * $gap);
    [$most, $smallest] = [0, 0];
    for ($size = 0; $size <= 250; $size++) {
        foreach ([$size, -$size] as $shift) {
            $pairs = bestAssignment($planned, $played, $window, $shift)[0];
            if ($pairs > $most) {
                [$most, $smallest] = [$pairs, abs($shift)];
            }
        }
    }
    $matching = (new Matcher())->match(array_map(static fn (int $ms): float => $ms / 1000, $planned), array_map(static fn (int $ms): float => $ms / 1000, $played), $gap / 1000, 0.5);
    $shift = (int) round(1000 * $matching->shift);
    $distance = array_sum(array_map(static fn (int $i, int $j): int => abs($played[$j] - $planned[$i] - $shift), array_keys($matching->pairs), $matching->pairs));
    [$pairs, $minus] = bestAssignment($planned, $played, $window, $shift);

    expect(count($matching->pairs))->toBe($most)
        ->and(abs($shift))->toBe($smallest)
        ->and([count($matching->pairs), -$distance])->toBe([$pairs, $minus]);
})->with(range(1, 12));

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

    expect([$matching->pairs, $matching->missed, $matching->extra, $matching->shift])->toEqual([[], [0, 1], [], 0.0]);
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
