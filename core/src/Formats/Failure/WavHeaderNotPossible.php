<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\WavNotReadable;

final class WavHeaderNotPossible extends WavNotReadable
{
    public function __construct(public readonly string $what)
    {
        parent::__construct(
            sprintf('The header of this WAV file cannot be right: %s. Save it anew from the program it comes from.', $what),
        );
    }
}
