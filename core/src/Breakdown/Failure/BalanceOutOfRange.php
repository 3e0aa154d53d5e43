<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class BalanceOutOfRange extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A note on the balance has a day such as 2026-03-09, and a gain of −24 to 24 dB.', '');
    }
}
