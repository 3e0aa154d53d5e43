<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class StringsNotReadable extends NeckException
{
    public function __construct(public readonly string $typed, public readonly int $count)
    {
        parent::__construct(sprintf(
            '"%s" names no strings of this guitar. Write a range or a list of numbers from 1 (highest) to %d, such as 4-1 or 6,4,3.',
            Quote::short($typed),
            $count,
        ));
    }
}
