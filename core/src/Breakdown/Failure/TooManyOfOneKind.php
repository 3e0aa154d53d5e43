<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class TooManyOfOneKind extends BreakdownNotValid
{
    public function __construct(public readonly string $list, public readonly int $count, public readonly int $most)
    {
        parent::__construct(sprintf('%d %s are more than one breakdown holds; %d is the most.', $count, $list, $most), "/{$list}");
    }
}
