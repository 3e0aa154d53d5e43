<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class SetUpTooLong extends BreakdownNotValid
{
    public function __construct(public readonly int $most)
    {
        parent::__construct("The set-up is one line of at most {$most} characters; the rest belongs into the notes.", '/setUp');
    }
}
