<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\Internal\WavCoding;
use Gravik\Formats\WavNotReadable;

final class WavRateOutOfRange extends WavNotReadable
{
    public function __construct(public readonly int $rate)
    {
        parent::__construct(sprintf(
            '%d samples a second are outside what is read here. Save it with %d to %d.',
            $rate,
            WavCoding::LOWEST_RATE,
            WavCoding::HIGHEST_RATE,
        ));
    }
}
