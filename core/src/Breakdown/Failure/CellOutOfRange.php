<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class CellOutOfRange extends BreakdownNotValid
{
    public function __construct(public readonly string $field, string $range)
    {
        parent::__construct(sprintf('%s %s', ucfirst($field), $range), "/{$field}");
    }
}
