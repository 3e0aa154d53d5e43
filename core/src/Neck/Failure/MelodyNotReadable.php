<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class MelodyNotReadable extends NeckException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $typed, public readonly int $at)
    {
        parent::__construct(sprintf(
            '"%s" is no melody. Write notes with their octave, or string and fret, bars between strokes, such as E4 G4 | A4 C5 or 1:0 1:3; at most 64 notes.',
            Quote::short($typed),
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
