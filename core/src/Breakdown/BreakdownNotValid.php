<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\CoreException;

abstract class BreakdownNotValid extends CoreException
{
    /** @param string $pointer JSON pointer into the document, to what is wrong */
    public function __construct(string $message, public readonly string $pointer)
    {
        parent::__construct($message);
    }

    public function at(): string
    {
        return $this->pointer;
    }
}
