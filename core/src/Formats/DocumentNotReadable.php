<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;

abstract class DocumentNotReadable extends CoreException
{
    /** @param string $pointer JSON pointer to the place, "" for the whole document */
    public function __construct(string $message, public readonly string $pointer)
    {
        parent::__construct($message);
    }

    public function at(): string
    {
        return $this->pointer;
    }

    /** The same refusal, told with the place in the document as it was before it was upgraded. */
    public function before(string $pointer): self
    {
        return $this;
    }
}
