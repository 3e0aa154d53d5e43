<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class RecordingTooLong extends ListeningException
{
    public function __construct(public readonly float $minutes, public readonly int $most)
    {
        parent::__construct(sprintf(
            'This recording is %.1f minutes long; up to %d minutes are heard. Cut out the part you mean and send that.',
            $minutes,
            $most,
        ));
    }
}
