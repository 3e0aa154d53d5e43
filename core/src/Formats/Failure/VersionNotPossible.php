<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DocumentNotReadable;

final class VersionNotPossible extends DocumentNotReadable
{
    public function __construct(public readonly int $version)
    {
        parent::__construct(
            sprintf('There is no version %d of the format: versions count from 1. Export the breakdown again.', $version),
            '/version',
        );
    }
}
