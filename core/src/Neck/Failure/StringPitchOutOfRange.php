<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class StringPitchOutOfRange extends NeckException
{
    public function __construct(public readonly string $pitch)
    {
        parent::__construct(sprintf('A string tuned to %s cannot be played on a guitar. Pitches from B0 to G5 will do.', $pitch));
    }
}
