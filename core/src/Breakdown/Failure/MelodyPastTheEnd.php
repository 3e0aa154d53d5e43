<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class MelodyPastTheEnd extends BreakdownNotValid
{
    /** @param int $left bars of the song from where it begins */
    public function __construct(public readonly int $bars, public readonly int $left)
    {
        parent::__construct(
            sprintf('The melody has %d bars, and only %d of the song are left from here. Begin it earlier or add bars.', $bars, $left),
            '',
        );
    }
}
