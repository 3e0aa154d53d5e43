<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Band\Instrument;

final class TuneMisplaced extends BandException
{
    public function __construct(public readonly Instrument $instrument)
    {
        parent::__construct(sprintf(
            'The %s cannot be given a tune of its own: only the lead can, and others double it.',
            $instrument->words(),
        ));
    }
}
