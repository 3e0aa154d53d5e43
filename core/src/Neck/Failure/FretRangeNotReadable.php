<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class FretRangeNotReadable extends NeckException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf(
            '"%s" is no range of frets. Write the lowest and the highest, such as 0-15, within 0 to 24.',
            Quote::short($typed),
        ));
    }
}
