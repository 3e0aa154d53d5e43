<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class NoRoomForAnswer extends BreakdownNotValid
{
    public function __construct(public readonly int $bars, public readonly int $needed)
    {
        parent::__construct(
            sprintf('The figure and its answer take %d bars, and %d are chosen. Choose more bars.', $needed, $bars),
            '',
        );
    }
}
