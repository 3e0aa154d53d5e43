<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class StringCountOutOfRange extends NeckException
{
    public function __construct(public readonly int $count)
    {
        parent::__construct(sprintf('A tuning needs 4 to 8 strings; this one has %d.', $count));
    }
}
