<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class BeatCountedOutOfTurn extends StrokesException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $said, public readonly int $expected, public readonly int $at)
    {
        parent::__construct(sprintf(
            '"%s" stands where beat %d comes. Count every beat, those in the air in brackets: (%d).',
            Quote::short($said),
            $expected,
            $expected,
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
