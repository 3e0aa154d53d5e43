<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class NoCommonTop extends NeckException
{
    public function __construct()
    {
        parent::__construct('No note can stay on top through all of these chords. Let go of the common top, or leave a chord out.');
    }
}
