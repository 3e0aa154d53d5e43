<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\WavNotReadable;

final class WavWithoutSound extends WavNotReadable
{
    public function __construct()
    {
        parent::__construct('This WAV file holds no sound. Record it again, and wait until it is saved.');
    }
}
