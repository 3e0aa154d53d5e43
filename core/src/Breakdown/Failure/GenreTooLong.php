<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class GenreTooLong extends BreakdownNotValid
{
    public function __construct()
    {
        parent::__construct('The genre can have at most 80 characters.', '/genre');
    }
}
