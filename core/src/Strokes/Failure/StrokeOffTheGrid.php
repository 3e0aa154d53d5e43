<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class StrokeOffTheGrid extends StrokesException
{
    public function __construct(public readonly int $at, public readonly int $division)
    {
        parent::__construct(sprintf(
            'A stroke at tick %d does not lie on a beat divided in %d. Choose the division it belongs to.',
            $at,
            $division,
        ));
    }
}
