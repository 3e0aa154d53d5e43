<?php

declare(strict_types=1);

namespace App\School;

use RuntimeException;

/** The owner cannot leave while nobody else owns the school. */
final class SchoolNeedsOwner extends RuntimeException
{
    public function __construct()
    {
        parent::__construct(
            'You own this school: without you nobody could invite teachers. Whoever looks after the machine can take it down.',
        );
    }
}
