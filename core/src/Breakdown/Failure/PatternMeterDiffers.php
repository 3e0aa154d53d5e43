<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class PatternMeterDiffers extends BreakdownNotValid
{
    public function __construct(
        string $pointer,
        public readonly string $has,
        public readonly string $section,
        public readonly string $needs,
    ) {
        parent::__construct(
            sprintf('This pattern is in %s, and section %s in %s. Choose a pattern in %s.', $has, $section, $needs, $needs),
            $pointer,
        );
    }
}
