<?php

declare(strict_types=1);

namespace Gravik\Time\Failure;

use Gravik\Quote;
use Gravik\Time\Meter;
use Gravik\Time\TimeException;

final class MeterUnknown extends TimeException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf('"%s" is no meter we can count. Choose one of %s.', Quote::short($typed), implode(', ', Meter::KNOWN)));
    }
}
