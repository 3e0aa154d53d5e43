<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class MarkNotPossible extends BreakdownNotValid
{
    public function __construct(public readonly string $field, public readonly string $is)
    {
        parent::__construct("The {$field} of a mark: {$is}", "/{$field}");
    }
}
