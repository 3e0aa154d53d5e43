<?php

declare(strict_types=1);

namespace Gravik\Lesson\Failure;

use Gravik\Lesson\LessonException;

final class LadderWishOutOfRange extends LessonException
{
    public function __construct(public readonly string $field, public readonly int $least, public readonly int $most)
    {
        parent::__construct("The {$field} of a ladder runs from {$least} to {$most}.");
    }
}
