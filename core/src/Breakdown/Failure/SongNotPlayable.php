<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Chart\ChartException;

final class SongNotPlayable extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly ChartException $why)
    {
        parent::__construct($why->getMessage(), $pointer);
    }
}
