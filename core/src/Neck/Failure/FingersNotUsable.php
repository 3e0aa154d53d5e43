<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class FingersNotUsable extends NeckException
{
    public function __construct()
    {
        parent::__construct('Fingers are numbered 1 (first) to 4 (little); at least one of them has to stay in use.');
    }
}
