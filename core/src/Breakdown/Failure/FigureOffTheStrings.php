<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class FigureOffTheStrings extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly int $string, public readonly int $strings)
    {
        parent::__construct(sprintf('This figure is played on string %d, and the guitar has %d.', $string, $strings), $pointer);
    }
}
