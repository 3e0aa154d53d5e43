<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class NoPatternInMeter extends BreakdownNotValid
{
    public function __construct(public readonly int $section, public readonly string $name, public readonly string $meter)
    {
        parent::__construct(
            sprintf('Section %s is in %s, and no pattern is. Add one in %s.', $name, $meter, $meter),
            "/sections/{$section}",
        );
    }
}
