<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Breakdown\Breakdown;

/** A way out of a clash, in one step. */
final readonly class Mend
{
    public function __construct(public string $words, public Breakdown $after) {}
}
