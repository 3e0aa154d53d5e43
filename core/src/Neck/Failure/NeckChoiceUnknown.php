<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class NeckChoiceUnknown extends NeckException
{
    public function __construct(public readonly string $what, public readonly string $typed, public readonly string $known)
    {
        parent::__construct(sprintf('"%s" is no %s. Choose one of %s.', Quote::short($typed), $what, $known));
    }
}
