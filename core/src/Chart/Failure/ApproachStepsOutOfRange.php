<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class ApproachStepsOutOfRange extends ChartException
{
    public function __construct(public readonly int $steps, public readonly int $most)
    {
        parent::__construct(sprintf('An approach of %d grips cannot be played. Choose 1 to %d.', $steps, $most));
    }
}
