<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class TitleOutOfRange extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('A breakdown needs a title of 1 to 120 characters.', '/title');
    }
}
