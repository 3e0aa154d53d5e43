<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class LineEmpty extends ChartException
{
    public function __construct()
    {
        parent::__construct('There are no chords in this line yet. Type bars between strokes, such as | Dm6 | B♭7 | Gm7 A7 | Dm6 |.');
    }
}
