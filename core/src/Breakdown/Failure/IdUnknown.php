<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Quote;

final class IdUnknown extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $id, public readonly string $list)
    {
        parent::__construct(sprintf('"%s" is none of the %s of this breakdown.', Quote::short($id), $list), $pointer);
    }
}
