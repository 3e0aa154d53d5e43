<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DraftNotReadable;

final class ArchiveNotSafe extends DraftNotReadable
{
    public function __construct(public readonly string $why)
    {
        parent::__construct("This archive is not opened: {$why}. Unpack it yourself and choose the score in it.");
    }
}
