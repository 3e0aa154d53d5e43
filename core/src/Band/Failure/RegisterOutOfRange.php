<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;

final class RegisterOutOfRange extends BandException
{
    public function __construct(public readonly int $low, public readonly int $high)
    {
        parent::__construct(sprintf(
            'A register from note %d to %d cannot be played in: it spans an octave at least, between notes 21 and 108.',
            $low,
            $high,
        ));
    }
}
