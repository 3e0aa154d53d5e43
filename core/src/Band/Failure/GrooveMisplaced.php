<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Band\Instrument;

final class GrooveMisplaced extends BandException
{
    public function __construct(public readonly Instrument $instrument)
    {
        parent::__construct($instrument->playsAGroove() ? sprintf(
            'The %s play by a groove, and none is named.',
            $instrument->value,
        ) : sprintf('A %s plays no groove.', $instrument->value));
    }
}
