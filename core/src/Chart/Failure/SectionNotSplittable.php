<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class SectionNotSplittable extends ChartException
{
    public function __construct(public readonly int $bar, public readonly int $bars)
    {
        parent::__construct($bars < 2
            ? 'A section of one bar cannot be split.'
            : sprintf('This section has %d bars: a second part can begin with bar 2 to %d, not with bar %d.', $bars, $bars, $bar + 1));
    }
}
