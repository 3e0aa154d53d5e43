<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class LevelOutOfRange extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A pattern has levels 1, 2 and 3.', '');
    }
}
