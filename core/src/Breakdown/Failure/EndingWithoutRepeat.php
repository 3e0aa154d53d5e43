<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class EndingWithoutRepeat extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $section)
    {
        parent::__construct(
            sprintf(
                'Section %s has an ending of its own for some times, but it comes only once in the form. Let it come again, or write the ending into its line.',
                $section,
            ),
            $pointer,
        );
    }
}
