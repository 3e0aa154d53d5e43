<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class StrokeOutsidePattern extends StrokesException
{
    public function __construct(public readonly int $at, public readonly int $bar, public readonly int $beat, public readonly int $bars)
    {
        parent::__construct(sprintf('A stroke at tick %d (%s) lies outside the pattern, which has %d %s. Move it inside, or make the pattern longer.',
            $at, $at < 0 ? 'before bar 1' : "beat {$beat} of bar {$bar}", $bars, $bars === 1 ? 'bar' : 'bars'));
    }
}
