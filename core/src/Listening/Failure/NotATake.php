<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NotATake extends ListeningException
{
    public function __construct()
    {
        parent::__construct(
            'This is no take: it needs a list of taps in seconds, such as {"taps": [{"t": 0.51, "key": "down"}]} or [0.51, 1.02].',
        );
    }
}
