<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class PassWordsTooLong extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A pass is named, and its lead, in at most 40 characters; its notes have at most 400.', '');
    }
}
