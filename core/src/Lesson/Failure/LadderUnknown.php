<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;
use Gravik\Quote;

final class LadderUnknown extends LessonException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf('"%s" is no ladder: choose gated, ramp or bursts.', Quote::short($typed)));
    }
}
