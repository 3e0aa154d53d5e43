<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TapWithoutTime extends ListeningException
{
    public function __construct(public readonly int $index)
    {
        parent::__construct(sprintf(
            'Tap %d has no time: each tap needs "t", its seconds from the start of the take, from 0 to 3600.',
            $index + 1,
        ));
    }
}
