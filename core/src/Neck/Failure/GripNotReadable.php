<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class GripNotReadable extends NeckException
{
    public function __construct(public readonly string $typed, public readonly int $count)
    {
        parent::__construct(sprintf(
            '"%s" is no grip. Write one fret for each of the %d strings from low to high, x for muted, such as x 3 2 0 1 0.',
            Quote::short($typed),
            $count,
        ));
    }
}
