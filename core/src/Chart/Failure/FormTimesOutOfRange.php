<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class FormTimesOutOfRange extends ChartException
{
    public function __construct(public readonly int $times, public readonly int $most)
    {
        parent::__construct(sprintf('A section played %d times in a row is not possible here: 1 to %d.', $times, $most));
    }
}
