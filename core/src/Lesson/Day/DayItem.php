<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

/** A stretch of a day's practice. */
final readonly class DayItem
{
    /** @param ?Due $of null for a break */
    public function __construct(public ?Due $of, public int $minutes) {}

    public function isBreak(): bool
    {
        return $this->of === null;
    }

    /** Why it stands there. */
    public function reason(): string
    {
        return $this->of->reason ?? 'guitar down, shake out the arm';
    }
}
