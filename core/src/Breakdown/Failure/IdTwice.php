<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Quote;

final class IdTwice extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $id)
    {
        parent::__construct(sprintf('The id "%s" is there twice. Give one of them another.', Quote::short($id)), $pointer);
    }
}
