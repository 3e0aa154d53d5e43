<?php

declare(strict_types=1);

namespace Gravik\Listening\Offers;

use Gravik\Breakdown\Breakdown;

/** Something heard that a breakdown could take over, beside what it has now. */
final readonly class FeelOffer
{
    /** @param Breakdown $after with this one thing taken over */
    public function __construct(public string $what, public string $heard, public string $has, public Breakdown $after) {}
}
