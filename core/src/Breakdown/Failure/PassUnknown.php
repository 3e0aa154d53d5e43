<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Quote;

final class PassUnknown extends BreakdownNotValid
{
    public function __construct(public readonly string $id)
    {
        parent::__construct(sprintf('There is no pass "%s" in this breakdown.', Quote::short($id)), '/passes');
    }
}
