<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class FigureNotPossible extends BreakdownNotValid
{
    public function __construct(public readonly string $rule)
    {
        parent::__construct("A figure {$rule}.", '');
    }
}
