<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class StringCountsDiffer extends NeckException
{
    public function __construct(public readonly int $from, public readonly int $to)
    {
        parent::__construct(sprintf(
            'A guitar in a tuning of %d strings cannot be brought to one of %d. Choose two tunings with the same number of strings.',
            $from,
            $to,
        ));
    }
}
