<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NothingPlanned extends ListeningException
{
    public function __construct()
    {
        parent::__construct('This breakdown has no strokes to play along to yet. Set some in Hand, and type a chord line in Chart.');
    }
}
