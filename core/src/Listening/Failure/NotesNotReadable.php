<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NotesNotReadable extends ListeningException
{
    public function __construct()
    {
        parent::__construct('What was heard of the notes has been damaged on the way. Open the recording again.');
    }
}
