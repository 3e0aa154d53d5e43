<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TooManyTaps extends ListeningException
{
    public function __construct(public readonly int $count, public readonly int $most)
    {
        parent::__construct(sprintf('%d taps are more than one take holds; %d is the most.', $count, $most));
    }
}
