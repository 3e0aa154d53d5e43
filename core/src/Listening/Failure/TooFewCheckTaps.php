<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TooFewCheckTaps extends ListeningException
{
    public function __construct(public readonly int $count)
    {
        parent::__construct(
            sprintf('%d taps are too few to measure the delay: tap along with at least eight of the sixteen clicks.', $count),
        );
    }
}
