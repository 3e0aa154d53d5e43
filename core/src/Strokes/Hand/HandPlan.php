<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Pattern;

/** A pattern as the hand plays it: every stroke with its direction, and the strokes through air between them. */
final readonly class HandPlan
{
    /**
     * @param list<AirStroke> $air      in order of time
     * @param list<Warning>   $warnings
     */
    public function __construct(public Pattern $pattern, public array $air, public array $warnings) {}
}
