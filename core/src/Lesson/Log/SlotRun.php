<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

/** One slot over the latest takes of a stage. */
final readonly class SlotRun
{
    /** @param list<SlotOfTake|null> $takes the oldest first; null where the slot was not met in a take */
    public function __construct(public string $name, public array $takes, public SlotCourse $course, public string $words) {}
}
