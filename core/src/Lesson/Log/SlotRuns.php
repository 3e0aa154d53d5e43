<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

/** Which slots close in over the takes of a stage, and which stands still. */
final readonly class SlotRuns
{
    /** The latest takes that are looked at: more would hide what is so today. */
    public const MOST = 9;

    /** Fewer tell nothing of a direction (rule of thumb). */
    private const LEAST = 3;

    /** How far the way must have grown or shrunk, as a share of where it began, to be called one (rule of thumb). */
    private const A_STEP = 0.25;

    /**
     * @param list<list<SlotOfTake>> $takes their slots, the oldest first
     * @param float $gateMs what the bias may be, either way
     *
     * @return list<SlotRun> in the order in which the slots are counted
     */
    public function of(array $takes, float $gateMs): array
    {
        $takes = array_slice($takes, -self::MOST);
        $names = array_map(static fn (SlotOfTake $slot): string => $slot->name, array_merge([], ...$takes));

        return array_map(static function (string $name) use ($takes, $gateMs): SlotRun {
            $own = array_map(static fn (array $slots): ?SlotOfTake => self::named($slots, $name), $takes);
            $met = array_values(array_filter($own));
            $course = self::course($met, $gateMs);

            return new SlotRun($name, $own, $course, self::words($met, $course));
        }, array_values(array_unique($names)));
    }

    /**
     * What is said first: the slot farthest out of those that do not close in, with why it is so.
     *
     * @param list<SlotRun> $runs
     * @param float $spreadMs what the spread may be
     */
    public function finding(array $runs, float $spreadMs): ?SlotFinding
    {
        $still = array_filter($runs, static fn (SlotRun $run): bool => in_array($run->course, [SlotCourse::Stays, SlotCourse::Widens], true));
        usort($still, static fn (SlotRun $a, SlotRun $b): int => abs(self::last($b)->biasMs) <=> abs(self::last($a)->biasMs));
        $run = $still[0] ?? null;
        if ($run === null) {
            return null;
        }
        $last = self::last($run);
        $count = count(array_filter($run->takes));
        $does = $run->course === SlotCourse::Stays ? 'has stood still for' : 'has gone farther out over';
        $closing = count(array_filter($runs, static fn (SlotRun $each): bool => $each->course === SlotCourse::Closes));
        $others = match ($closing) {
            0 => '',
            1 => 'One slot closes in, this one does not. ',
            default => "{$closing} slots close in, this one does not. ",
        };
        $why = $last->spreadMs <= $spreadMs
            ? 'It comes at the same place each time: a habit, not looseness.'
            : 'It comes somewhere else each time: looseness. Slower, on damped strings, first.';

        return new SlotFinding(
            $run->name,
            "{$run->name} {$does} {$count} takes",
            sprintf('%s, spread %d ms. %s%s', self::lateness($last->biasMs), (int) round($last->spreadMs), $others, $why),
        );
    }

    /** @param list<SlotOfTake> $slots */
    private static function named(array $slots, string $name): ?SlotOfTake
    {
        foreach ($slots as $slot) {
            if ($slot->name === $name) {
                return $slot;
            }
        }

        return null;
    }

    /** @param list<SlotOfTake> $met */
    private static function course(array $met, float $gateMs): SlotCourse
    {
        if (count($met) < self::LEAST) {
            return SlotCourse::TooFew;
        }
        $errors = array_map(static fn (SlotOfTake $slot): float => abs($slot->biasMs), $met);
        $grows = self::slope($errors) * (count($errors) - 1);
        $step = self::A_STEP * max($gateMs, $errors[0]);

        return match (true) {
            $errors[count($errors) - 1] <= $gateMs => SlotCourse::Holds,
            $grows <= -$step => SlotCourse::Closes,
            $grows >= $step => SlotCourse::Widens,
            default => SlotCourse::Stays,
        };
    }

    /**
     * The median slope of all pairs (Theil and Sen): one take that went wrong does not turn it.
     *
     * @param non-empty-list<float> $errors at least two
     */
    private static function slope(array $errors): float
    {
        $slopes = [];
        foreach ($errors as $late => $error) {
            for ($early = 0; $early < $late; $early++) {
                $slopes[] = ($error - $errors[$early]) / ($late - $early);
            }
        }
        sort($slopes);
        $half = intdiv(count($slopes), 2);

        return count($slopes) % 2 === 1 ? $slopes[$half] : ($slopes[$half - 1] + $slopes[$half]) / 2;
    }

    /** @param list<SlotOfTake> $met */
    private static function words(array $met, SlotCourse $course): string
    {
        if ($met === []) {
            return 'not met';
        }
        [$from, $to] = [round($met[0]->biasMs), round($met[count($met) - 1]->biasMs)];

        return match ($course) {
            SlotCourse::TooFew => self::lateness($to).', too few takes to say more',
            SlotCourse::Stays => self::lateness($to).', stays',
            SlotCourse::Holds, SlotCourse::Closes, SlotCourse::Widens => $from * $to < 0 || $from === $to || $to === 0.0
                ? self::lateness($from).', now '.self::lateness($to)
                : sprintf('%d to %d ms %s', abs($from), abs($to), $to < 0 ? 'early' : 'late'),
        };
    }

    private static function lateness(float $ms): string
    {
        $whole = (int) round(abs($ms));

        return $whole === 0 ? 'on time' : sprintf('%d ms %s', $whole, $ms < 0 ? 'early' : 'late');
    }

    private static function last(SlotRun $run): SlotOfTake
    {
        $met = array_values(array_filter($run->takes));

        return $met[count($met) - 1] ?? new SlotOfTake($run->name, 0.0, 0.0);
    }
}
