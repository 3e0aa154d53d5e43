<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;
use Gravik\Chart\ChartProblem;

final class LineNotReadable extends ChartException
{
    public function __construct(public readonly ChartProblem $problem)
    {
        parent::__construct($problem->message);
    }

    public function at(): int
    {
        return $this->problem->at;
    }
}
