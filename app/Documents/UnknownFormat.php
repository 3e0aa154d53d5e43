<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\CoreException;
use Gravik\Quote;

final class UnknownFormat extends CoreException
{
    public function __construct(public readonly string $format)
    {
        parent::__construct(
            sprintf(
                '"%s" is no format we write. Choose one of %s.',
                Quote::short($format),
                implode(', ', array_column(ExportFormat::cases(), 'value')),
            ),
        );
    }
}
