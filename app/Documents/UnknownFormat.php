<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\CoreException;
use Gravik\Quote;
use InvalidArgumentException;

final class UnknownFormat extends InvalidArgumentException implements CoreException
{
    public static function named(string $format): self
    {
        return new self(sprintf('"%s" is no format we write. Choose one of %s.', Quote::short($format), implode(', ', Exports::FORMATS)));
    }
}
