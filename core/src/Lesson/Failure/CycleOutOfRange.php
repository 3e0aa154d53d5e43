<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class CycleOutOfRange extends LessonException
{
    public function __construct(public readonly int $bars, public readonly int $most)
    {
        parent::__construct(sprintf('A cycle has 1 to %d bars, not %d.', $most, $bars));
    }
}
