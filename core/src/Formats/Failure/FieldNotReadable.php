<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DocumentNotReadable;

final class FieldNotReadable extends DocumentNotReadable
{
    public function __construct(string $pointer, public readonly string $what)
    {
        parent::__construct(sprintf('At %s: %s', $pointer === '' ? 'the top of the document' : $pointer, $what), $pointer);
    }

    public function before(string $pointer): self
    {
        return new self($pointer, $this->what);
    }
}
