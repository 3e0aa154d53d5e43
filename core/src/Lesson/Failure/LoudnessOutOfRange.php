<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class LoudnessOutOfRange extends LessonException
{
    public function __construct(public readonly float $level)
    {
        parent::__construct(sprintf('%g dB is no loudness to practise at: give 40 to 130 dB(A).', $level));
    }
}
