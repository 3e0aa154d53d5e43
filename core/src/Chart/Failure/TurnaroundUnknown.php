<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;
use Gravik\Quote;

final class TurnaroundUnknown extends ChartException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf('"%s" is none of the turnarounds. Choose one of the list.', Quote::short($typed)));
    }
}
