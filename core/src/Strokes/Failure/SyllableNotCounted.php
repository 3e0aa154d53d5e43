<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class SyllableNotCounted extends StrokesException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $word, public readonly int $at)
    {
        parent::__construct(sprintf(
            '"%s" is not counted here. Say 1 2 3 4, & e a trip let ta; put air in brackets; add ! x ~ . _ > o v ^ after a syllable.',
            Quote::short($word),
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
