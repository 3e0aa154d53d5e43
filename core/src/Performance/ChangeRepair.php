<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;

/** One way to give a hand the time it needs, and the breakdown with it done. */
final readonly class ChangeRepair
{
    public function __construct(public string $text, public Breakdown $breakdown) {}
}
