<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class DynamicNotPossible extends ChartException
{
    public function __construct(public readonly int $bar, public readonly int $level)
    {
        parent::__construct('A dynamic stands at a bar of its section and is 1 (hush), 2 (soft), 3 (firm) or 4 (full).');
    }
}
