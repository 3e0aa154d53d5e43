<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class StrokeChoiceUnknown extends StrokesException
{
    public function __construct(public readonly string $what, public readonly string $typed, public readonly string $known)
    {
        parent::__construct(sprintf('"%s" is no %s. Choose one of %s.', Quote::short($typed), $what, $known));
    }
}
