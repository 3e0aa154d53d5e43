<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class TooManyBars extends ChartException
{
    public function __construct(public readonly int $bars, public readonly int $most)
    {
        parent::__construct(
            sprintf('%d bars are more than one breakdown holds; %d is the most. Leave the repeats to the loop.', $bars, $most),
        );
    }
}
