<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class CapoOutOfRange extends NeckException
{
    public function __construct(public readonly int $capo)
    {
        parent::__construct(sprintf('A capo at fret %d is not possible. Choose 0 (none) to 12.', $capo));
    }
}
