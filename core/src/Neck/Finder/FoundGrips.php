<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Neck\Grip\Voicing;

/** The best grips for a chord, and how many there were to choose from. */
final readonly class FoundGrips
{
    /** @param non-empty-list<Voicing> $best */
    public function __construct(public int $count, public array $best) {}
}
