<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class RecordingSilent extends ListeningException
{
    public function __construct()
    {
        parent::__construct('This recording is silent. Check that the microphone is on and near the guitar, and record again.');
    }
}
