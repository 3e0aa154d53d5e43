<?php

declare(strict_types=1);

namespace Gravik\Pitch\Failure;

use Gravik\Pitch\PitchException;
use Gravik\Quote;

final class PitchNotReadable extends PitchException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf('"%s" is no pitch. Write a note and its octave, such as E2 or F#3.', Quote::short($typed)));
    }
}
