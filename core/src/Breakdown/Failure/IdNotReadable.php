<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Quote;

final class IdNotReadable extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $id)
    {
        parent::__construct(sprintf('"%s" cannot be an id: letters, figures, - and _, 40 at most.', Quote::short($id)), $pointer);
    }
}
