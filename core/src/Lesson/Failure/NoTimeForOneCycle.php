<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class NoTimeForOneCycle extends LessonException
{
    public function __construct()
    {
        parent::__construct('The minutes are over before one cycle is: give more minutes or fewer bars.');
    }
}
