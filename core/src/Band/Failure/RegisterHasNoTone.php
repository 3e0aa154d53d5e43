<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;

final class RegisterHasNoTone extends BandException
{
    public function __construct(public readonly string $chord, public readonly int $low, public readonly int $high)
    {
        parent::__construct(sprintf(
            'Nothing of %s can be played between notes %d and %d. Give the part a wider register, or lay it out there.',
            $chord,
            $low,
            $high,
        ));
    }
}
