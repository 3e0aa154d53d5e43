<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Quote;

final class BarUnknown extends BreakdownNotValid
{
    /**
     * @param int $bar  of the section's line or ending, from 0
     * @param int $bars it has
     */
    public function __construct(public readonly string $section, public readonly int $bar, public readonly int $bars)
    {
        parent::__construct(
            sprintf('There is no bar %d here: this part of section "%s" has %d.', $bar + 1, Quote::short($section), $bars),
            '/sections',
        );
    }
}
