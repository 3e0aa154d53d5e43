<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class LadderGoesDown extends LessonException
{
    public function __construct(public readonly float $start, public readonly float $goal)
    {
        parent::__construct(sprintf('A ladder goes up: its goal, %g, lies below its start, %g.', $goal, $start));
    }
}
