<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class RiffNotReadable extends NeckException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(
        public readonly string $typed,
        public readonly int $strings,
        public readonly int $highest,
        public readonly int $at,
    ) {
        parent::__construct(sprintf(
            '"%s" is no figure. Write string and fret of each note, such as 6:3 5:2 5:5, strings 1 to %d, frets 0 to %d, at most 32 notes.',
            Quote::short($typed),
            $strings,
            $highest,
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
