<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\WavNotReadable;

final class WavMissing extends WavNotReadable
{
    public function __construct(public readonly string $name)
    {
        parent::__construct(sprintf('There is no file "%s" that can be read.', $name));
    }
}
