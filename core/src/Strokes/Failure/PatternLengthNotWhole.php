<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class PatternLengthNotWhole extends StrokesException
{
    public function __construct(public readonly int $ticks, public readonly int $barTicks)
    {
        parent::__construct(sprintf('A pattern of %d ticks is not one to four whole bars (a bar has %d ticks).', $ticks, $barTicks));
    }
}
