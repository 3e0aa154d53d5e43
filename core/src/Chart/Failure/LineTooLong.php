<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class LineTooLong extends ChartException
{
    public function __construct(public readonly int $characters, public readonly int $most)
    {
        parent::__construct(sprintf(
            'A chord line of %d characters is too long to be one section; %d is the most. Split it into sections.',
            $characters,
            $most,
        ));
    }
}
