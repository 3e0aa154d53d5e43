<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class BeatCountedInTwoDivisions extends StrokesException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $said, public readonly int $beat, public readonly int $at)
    {
        parent::__construct(sprintf(
            'Beat %d counts "%s", which is no one division of it. Use & for halves, e & a for quarters, trip let for thirds.',
            $beat,
            Quote::short($said),
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
