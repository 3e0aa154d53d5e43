<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DraftNotReadable;

final class NothingToDraft extends DraftNotReadable
{
    public function __construct()
    {
        parent::__construct('Neither chords nor notes were found in this file: there is nothing to make a breakdown of.');
    }
}
