<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class WeightOutOfRange extends NeckException
{
    public function __construct(public readonly float $weight, public readonly float $heaviest)
    {
        parent::__construct(sprintf(
            'A weight of %s cannot be weighed. Choose 0 (does not count) to %d.',
            is_finite($weight) ? (string) round($weight, 2) : 'nothing',
            (int) $heaviest,
        ));
    }
}
