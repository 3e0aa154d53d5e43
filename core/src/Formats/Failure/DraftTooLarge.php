<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DraftNotReadable;

final class DraftTooLarge extends DraftNotReadable
{
    public function __construct(public readonly int $bytes, public readonly int $most)
    {
        parent::__construct(sprintf('This file has %.1f MB, and at most %d MB are read.', $bytes / 1048576, intdiv($most, 1048576)));
    }
}
