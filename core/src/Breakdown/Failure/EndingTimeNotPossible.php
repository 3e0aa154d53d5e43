<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class EndingTimeNotPossible extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $section, public readonly int $time, public readonly int $comes)
    {
        parent::__construct($time > $comes
            ? sprintf('Section %s has an ending for time %d, but it comes %d times in the form.', $section, $time, $comes)
            : sprintf('Section %s has two endings for time %d. Leave it in one of them.', $section, $time), $pointer);
    }
}
