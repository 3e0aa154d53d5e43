<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class StepOutOfRange extends LessonException
{
    public function __construct(public readonly float $percent)
    {
        parent::__construct(sprintf('A step of %g %% is not one a hand can follow or feel: give 3 to 8.', $percent));
    }
}
