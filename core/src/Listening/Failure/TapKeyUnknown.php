<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TapKeyUnknown extends ListeningException
{
    public function __construct(public readonly int $index)
    {
        parent::__construct(sprintf('Tap %d names a key that is neither "down" nor "up".', $index + 1));
    }
}
