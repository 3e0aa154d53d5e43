<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\WavNotReadable;

final class NotWav extends WavNotReadable
{
    public function __construct(public readonly string $begins)
    {
        parent::__construct(sprintf('This is no WAV file: it begins with "%s". Choose a recording saved as WAV.', $begins));
    }
}
