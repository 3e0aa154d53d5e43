<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

use Gravik\Lesson\Failure\DayMinutesOutOfRange;

/**
 * Fits what is due into the minutes there are: hardest first while the hand is fresh, a break of five minutes before more than
 * 25 have been played in a row, and never more than was asked for.
 *
 * Of all ways to do so it finds the best: what is most urgent comes in before what is less, and of plans with the same things in
 * them the one that plays longest. Things in the order of their hardness, minutes used and minutes since the last break are the
 * states of an exact search.
 */
final readonly class DayPlanner
{
    public const LEAST = 10;

    public const MOST = 90;

    /** What is offered to choose from, and taken until somebody chooses. */
    public const CHOICES = [10, 20, 35, 50, 70, 90];

    public const USUAL = 35;

    public const BREAK_MINUTES = 5;

    /** of playing in a row */
    public const BREAK_AFTER = 25;

    /** So many are weighed; the most urgent of more. */
    private const WEIGHED = 24;

    /** How many lengths of each are tried, from the least to what it wants. */
    private const LENGTHS = 5;

    /** A minute played is worth so much beside an urgency of 1. */
    private const MINUTE = 0.001;

    /**
     * @param list<Due> $due
     * @param int       $minutes 10 to 90
     * @param bool      $hurts   whether the hand hurts today
     *
     * @return list<DayItem> together at most so many minutes
     *
     * @throws DayMinutesOutOfRange
     */
    public function plan(array $due, int $minutes, bool $hurts = false): array
    {
        if ($minutes < self::LEAST || $minutes > self::MOST) {
            throw new DayMinutesOutOfRange($minutes, self::LEAST, self::MOST);
        }
        $weighed = $hurts ? array_map(static fn (Due $each): Due => $each->spared(), $due) : $due;
        usort($weighed, static fn (Due $a, Due $b): int => [$b->urgency, $a->id] <=> [$a->urgency, $b->id]);
        $weighed = array_slice($weighed, 0, self::WEIGHED);
        usort($weighed, static fn (Due $a, Due $b): int => [$b->hardness, $b->urgency, $a->id] <=> [$a->hardness, $a->urgency, $b->id]);

        return self::best($weighed, $minutes)->items();
    }

    /**
     * What a plan is worth: its urgencies, and a little for every minute that is played.
     *
     * @param list<DayItem> $items
     */
    public static function worth(array $items): float
    {
        return array_sum(array_map(
            static fn (DayItem $item): float => $item->of === null ? 0.0 : $item->of->urgency + self::MINUTE * $item->minutes,
            $items,
        ));
    }

    /** @param list<Due> $weighed in the order in which they are played */
    private static function best(array $weighed, int $minutes): DaySoFar
    {
        // by minutes used and minutes since the last break
        $days = [0 => [0 => new DaySoFar(0.0)]];
        foreach ($weighed as $due) {
            $next = $days;
            foreach ($days as $used => $bySince) {
                foreach ($bySince as $since => $day) {
                    foreach (self::lengths($due) as $length) {
                        foreach ($since === 0 ? [0] : [0, self::BREAK_MINUTES] as $rest) {
                            $inARow = $rest === 0 ? $since + $length : $length;
                            $all = $used + $rest + $length;
                            $worth = $day->worth + $due->urgency + self::MINUTE * $length;
                            $fits = $all <= $minutes && $inARow <= self::BREAK_AFTER;
                            if ($fits && $worth > (($next[$all][$inARow] ?? null)->worth ?? -1.0)) {
                                $added = [...$rest === 0 ? [] : [new DayItem(null, $rest)], new DayItem($due, $length)];
                                $next[$all][$inARow] = new DaySoFar($worth, $day, $added);
                            }
                        }
                    }
                }
            }
            $days = $next;
        }
        $best = $days[0][0];
        foreach (array_merge(...array_map(array_values(...), array_values($days))) as $day) {
            $best = $day->worth > $best->worth ? $day : $best;
        }

        return $best;
    }

    /** @return list<int> */
    private static function lengths(Due $due): array
    {
        $lengths = [];
        for ($step = 0; $step < self::LENGTHS; $step++) {
            $lengths[] = $due->least + (int) round($step * ($due->wanted - $due->least) / (self::LENGTHS - 1));
        }

        return array_values(array_unique($lengths));
    }
}
