<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Quote;

final class GrooveUnknown extends BandException
{
    public function __construct(public readonly string $typed, public readonly string $known)
    {
        parent::__construct(sprintf('"%s" is no groove we have. Choose one of %s.', Quote::short($typed), $known));
    }
}
