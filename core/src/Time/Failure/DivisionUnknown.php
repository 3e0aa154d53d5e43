<?php

declare(strict_types=1);

namespace Gravik\Time\Failure;

use Gravik\Time\TimeException;

final class DivisionUnknown extends TimeException
{
    public function __construct(public readonly int $division)
    {
        parent::__construct(sprintf('A beat cannot be divided in %d. Choose 1, 2, 3, 4 or 6.', $division));
    }
}
