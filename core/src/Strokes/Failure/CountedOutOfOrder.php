<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class CountedOutOfOrder extends StrokesException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $said, public readonly int $beat, public readonly int $at)
    {
        parent::__construct(sprintf('"%s" in beat %d comes after what follows it. Count from left to right.', Quote::short($said), $beat));
    }

    public function at(): int
    {
        return $this->at;
    }
}
