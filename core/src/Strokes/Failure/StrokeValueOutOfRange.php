<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class StrokeValueOutOfRange extends StrokesException
{
    public function __construct(public readonly string $field, public readonly string $what)
    {
        parent::__construct(sprintf('A stroke\'s %s %s', $field, $what));
    }
}
