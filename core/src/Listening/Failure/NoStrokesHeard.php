<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NoStrokesHeard extends ListeningException
{
    public function __construct()
    {
        parent::__construct(
            'No stroke begins anywhere in this recording: it is noise, or one long sound. Record the guitar closer, or alone.',
        );
    }
}
