<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class EndingTimesNotPossible extends ChartException
{
    public function __construct()
    {
        parent::__construct('An ending names the times of its section, from 1 on, each once, or the passes that end so.');
    }
}
