<?php

declare(strict_types=1);

use Gravik\Lesson\Backing;
use Gravik\Lesson\Ladder;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\LadderStep;
use Gravik\Lesson\Pause;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

it('plans ladders, clicks and rests as it did', function (): void {
    $figures = [];
    foreach (LadderMode::cases() as $mode) {
        foreach ([[60.0, 120.0, 25.0, 5.0, 4], [80.0, 84.0, 1.0, 3.0, 2], [50.0, 240.0, 120.0, 8.0, 12], [100.0, 90.0, 10.0, 5.0, 4],
            [60.0, 90.0, 0.5, 5.0, 4], [60.0, 90.0, 121.0, 5.0, 4], [60.0, 90.0, 10.0, 2.9, 4], [60.0, 90.0, 10.0, 8.1, 4],
            [60.0, 90.0, 10.0, 5.0, 0],
            [60.0, 90.0, 10.0, 5.0, 161], [70.0, 70.0, 12.0, 5.0, 160]] as $number => [$from, $to, $minutes, $percent, $bars]) {
            foreach (['4/4', '6/8'] as $meter) {
                $figures["ladder {$mode->value} {$number} {$meter}"] = static function () use (
                    $mode,
                    $from,
                    $to,
                    $minutes,
                    $percent,
                    $bars,
                    $meter,
                ): array {
                    $ladder = (new LadderPlanner())->plan(
                        new Tempo($from),
                        new Tempo($to),
                        $minutes,
                        Meter::parse($meter),
                        $mode,
                        $percent,
                        $bars,
                    );

                    return [
                        $ladder, $ladder->minutes(), static fn (): mixed => $ladder->raised(), $ladder->stepAfter([]),
                        array_map(
                            static fn (array $clean): int => $ladder->stepAfter($clean),
                            [[true], [true, true], [true, false], [false, false, true, true, true], [false, true], [false, true, true],
                                [true, true, true, true, true]],
                        ),
                        $ladder->stepAfter([true, true], false),
                        array_map(static fn (LadderStep $step): int => $step->pulseBeats(), array_slice($ladder->steps, 0, 3)),
                    ];
                };
            }
        }
    }
    foreach (LadderMode::cases() as $mode) {
        foreach ([12.0, 25.0] as $minutes) {
            $figures["just enough {$mode->value} {$minutes}"] = static function () use ($mode, $minutes): array {
                $plan = static fn (float $in): Ladder => (new LadderPlanner())->plan(
                    new Tempo(60),
                    new Tempo(97),
                    $in,
                    Meter::parse('4/4'),
                    $mode,
                );
                $exact = $plan($minutes)->minutes();

                return [LadderPlanner::USUAL_STEP, $plan($exact), $plan($exact - 0.01), $plan($exact + 0.01)];
            };
        }
    }
    foreach (Backing::cases() as $backing) {
        $figures["backing {$backing->value}"] = static fn (): array => [
            array_map(
                static fn (string $meter): array => $backing->beats(Meter::parse($meter)),
                Meter::KNOWN,
            ), $backing->clicksOffBeats(), $backing->rests(),
        ];
    }
    foreach ([0, 1, 5, 6, 7, 12, 30] as $cycles) {
        foreach (
            [[0.0, 0.0], [299.0, 0.0], [301.0, 0.0], [600.0, 300.0], [899.0, 300.0], [1500.0, 0.0], [1501.0, 1400.0]] as [$played, $rested]
        ) {
            $figures["pause {$cycles} {$played} {$rested}"] = static fn (): array => [
                Pause::after($cycles, $played, $rested, 25.0, 10.0), Pause::after($cycles, $played, $rested, 5.0, 5.0),
            ];
        }
    }
    foreach (LadderMode::cases() as $mode) {
        $figures["mode {$mode->value}"] = static fn (): LadderMode => LadderMode::parse($mode->value);
    }
    Frozen::hold('lesson', $figures);
});
