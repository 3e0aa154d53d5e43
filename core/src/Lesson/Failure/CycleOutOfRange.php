<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class CycleOutOfRange extends LessonException
{
    public function __construct(public readonly int $bars)
    {
        parent::__construct(sprintf('A cycle has 1 to 64 bars, not %d.', $bars));
    }
}
