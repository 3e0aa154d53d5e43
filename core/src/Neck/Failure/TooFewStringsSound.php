<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class TooFewStringsSound extends NeckException
{
    public function __construct()
    {
        parent::__construct('One note has no chord name yet. Let at least two strings sound.');
    }
}
