<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class OnlyPass extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A breakdown keeps its only pass: it is the song played once.', '/passes');
    }
}
