<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\WavNotReadable;

final class WavCodingUnknown extends WavNotReadable
{
    public function __construct(public readonly int $kind, public readonly int $bits)
    {
        parent::__construct(sprintf(
            'This WAV file is coded in a way that is not read here (%d, %d bits). Save it as PCM with 8, 16, 24 or 32 bits, or as 32-bit floats.',
            $kind,
            $bits,
        ));
    }
}
