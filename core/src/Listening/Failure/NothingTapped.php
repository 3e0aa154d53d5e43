<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class NothingTapped extends ListeningException
{
    public function __construct()
    {
        parent::__construct('Nothing was tapped. Wait for the count-in, then tap each stroke, down and up.');
    }
}
