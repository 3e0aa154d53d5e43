<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class DelayOutOfRange extends ListeningException
{
    public function __construct()
    {
        parent::__construct('A delay of that size cannot be a device\'s: give −500 to 1000 ms.');
    }
}
