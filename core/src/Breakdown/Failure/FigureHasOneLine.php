<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class FigureHasOneLine extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('This figure has one line. Add a second one to hand notes over to.', '');
    }
}
