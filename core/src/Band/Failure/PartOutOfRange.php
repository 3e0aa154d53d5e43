<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;

final class PartOutOfRange extends BandException
{
    public function __construct()
    {
        parent::__construct('A part\'s level runs from 0 (silent) to 1 (full), and it is placed at most 100 ms early or late.');
    }
}
