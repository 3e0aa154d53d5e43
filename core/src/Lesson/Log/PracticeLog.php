<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

use DateTimeImmutable;
use Gravik\Lesson\Day\Upkeep;

/** What one student reached at one breakdown, read from their takes. */
final readonly class PracticeLog
{
    /** What is said of now is held against so many days ago. */
    public const LOOKS_BACK = 14;

    private const A_MINUTE = 60.0;

    /**
     * The clean tempo of a stage is the fastest at which its gate was passed: a slower take later takes nothing back.
     *
     * @param list<LoggedTake> $takes the oldest first
     *
     * @return list<LoggedStage> in the order in which they were begun
     */
    public function stages(array $takes, DateTimeImmutable $now): array
    {
        $byStage = [];
        foreach ($takes as $take) {
            $byStage[$take->stage][] = $take;
        }
        $then = $now->modify('-'.self::LOOKS_BACK.' days');

        return array_map(static fn (array $own): LoggedStage => self::stage($own, $then), array_values($byStage));
    }

    /**
     * @param list<LoggedTake> $takes
     *
     * @return array<string, float> minutes that were recorded, by day (YYYY-MM-DD)
     */
    public function minutesByDay(array $takes): array
    {
        $minutes = [];
        foreach ($takes as $take) {
            $day = $take->at->format('Y-m-d');
            $minutes[$day] = ($minutes[$day] ?? 0.0) + $take->seconds / self::A_MINUTE;
        }
        ksort($minutes);

        return $minutes;
    }

    /**
     * The checks of one stage that were taken since it was passed; what was played before a check was due is none.
     *
     * @param list<LoggedTake> $takes of this stage, the oldest first
     *
     * @return list<TakenCheck>
     */
    public function checks(array $takes, DateTimeImmutable $begun): array
    {
        $checks = [];
        $upkeep = Upkeep::begun($begun);
        foreach ($takes as $take) {
            if ($take->at <= $begun || $upkeep->daysLate($take->at) < 0) {
                continue;
            }
            $checks[] = new TakenCheck($take->at, $upkeep->days, $take->passed);
            $upkeep = $upkeep->played($take->passed, $take->at);
        }

        return $checks;
    }

    /** @param non-empty-list<LoggedTake> $takes of one stage */
    private static function stage(array $takes, DateTimeImmutable $then): LoggedStage
    {
        $clean = [];
        $best = $before = $passed = null;
        foreach ($takes as $take) {
            if ($take->passed) {
                $passed ??= $take->at;
                $best = max($best ?? 0.0, $take->tempo);
                $before = $take->at <= $then ? $best : $before;
            }
            $clean[] = $best;
        }

        return new LoggedStage($takes[0]->stage, $clean, $passed, $best, $before);
    }
}
