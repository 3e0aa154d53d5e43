<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class MinutesOutOfRange extends LessonException
{
    public function __construct(public readonly float $minutes)
    {
        parent::__construct(sprintf('%g minutes are no time to practise: give 1 to 120.', $minutes));
    }
}
