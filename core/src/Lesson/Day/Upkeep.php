<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

use DateTimeImmutable;

/** When something that was passed is played again to see whether it holds: after 2, 4, 8, 16 and 30 days. */
final readonly class Upkeep
{
    public const DAYS = [2, 4, 8, 16, 30];

    /**
     * @param int               $days between the last check and the next, 1 to 30
     * @param DateTimeImmutable $due  a day, at midnight
     */
    private function __construct(public int $days, public DateTimeImmutable $due) {}

    /** @param int $days 1 to 30 */
    public static function of(int $days, DateTimeImmutable $due): self
    {
        return new self(max(1, min(self::DAYS[count(self::DAYS) - 1], $days)), $due->setTime(0, 0));
    }

    /** What comes after a stage has been passed for the first time. */
    public static function begun(DateTimeImmutable $on): self
    {
        return self::after(self::DAYS[0], $on);
    }

    /**
     * A passed check makes the way to the next one longer, a failed one half as long; both count from the day it was taken.
     * Played before it is due it is practice, no check.
     */
    public function played(bool $passed, DateTimeImmutable $on): self
    {
        return $this->daysLate($on) < 0 ? $this : self::after($passed ? self::longer($this->days) : max(1, intdiv($this->days, 2)), $on);
    }

    /** How many days ago it was due; negative where that is still to come. */
    public function daysLate(DateTimeImmutable $on): int
    {
        return (int) $this->due->diff($on->setTime(0, 0))->format('%r%a');
    }

    private static function longer(int $days): int
    {
        foreach (self::DAYS as $each) {
            if ($each > $days) {
                return $each;
            }
        }

        return self::DAYS[count(self::DAYS) - 1];
    }

    private static function after(int $days, DateTimeImmutable $on): self
    {
        return new self($days, $on->setTime(0, 0)->modify("+{$days} days"));
    }
}
