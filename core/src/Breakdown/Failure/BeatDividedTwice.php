<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class BeatDividedTwice extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A beat of one line would be in halves and in thirds at once. Hand the whole beat over.', '');
    }
}
