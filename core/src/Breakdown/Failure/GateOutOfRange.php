<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class GateOutOfRange extends BreakdownNotValid
{
    public function __construct(public readonly string $what, public readonly string $range)
    {
        parent::__construct(sprintf('The %s a gate lets through is %s.', $what, $range), '');
    }
}
