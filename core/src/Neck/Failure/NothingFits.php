<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class NothingFits extends NeckException
{
    public function __construct(public readonly string $chord, public readonly string $why)
    {
        parent::__construct(sprintf('No grip for %s fits. %s', $chord, $why));
    }
}
