<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class TwoStrokesAtOnce extends StrokesException
{
    public function __construct(public readonly int $at, public readonly string $stream)
    {
        parent::__construct(sprintf(
            'Stream "%s" has two strokes at tick %d. Keep one, or put the other in a second stream.',
            Quote::short($stream),
            $at,
        ));
    }
}
