<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NoMelodyHeard extends ListeningException
{
    public function __construct()
    {
        parent::__construct('No melody can be heard in this: hum or whistle it alone, near the microphone, and hold each note.');
    }
}
