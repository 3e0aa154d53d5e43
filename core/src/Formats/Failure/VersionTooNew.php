<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DocumentNotReadable;

final class VersionTooNew extends DocumentNotReadable
{
    public function __construct(public readonly int $version, public readonly int $known)
    {
        parent::__construct(
            sprintf(
                'This breakdown was written in version %d of the format; this Gravik reads versions 1 to %d. Update Gravik to open it.',
                $version,
                $known,
            ),
            '/version',
        );
    }
}
