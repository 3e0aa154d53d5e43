<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class OnlySection extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A breakdown keeps its only section. Empty its line instead.', '/sections');
    }
}
