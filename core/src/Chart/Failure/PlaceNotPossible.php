<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class PlaceNotPossible extends ChartException
{
    public function __construct()
    {
        parent::__construct('A place has a bar, and ticks from its bar line, from 0 on.');
    }
}
