<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Closure;
use Gravik\Breakdown\Breakdown;

/** A way out of a clash, in one step. What comes of it is worked out when somebody asks. */
final readonly class Mend
{
    /** @param Closure(): Breakdown $make */
    public function __construct(public string $words, private Closure $make) {}

    /** The song as it would be. */
    public function after(): Breakdown
    {
        return ($this->make)();
    }
}
