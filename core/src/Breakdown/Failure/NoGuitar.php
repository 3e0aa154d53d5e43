<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class NoGuitar extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A band here has a guitar in it: that is the part that is taught.', '/parts');
    }
}
