<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class DayMinutesOutOfRange extends LessonException
{
    public function __construct(public readonly int $minutes, public readonly int $least, public readonly int $most)
    {
        parent::__construct(sprintf('A day of practice has %d to %d minutes, not %d.', $least, $most, $minutes));
    }
}
