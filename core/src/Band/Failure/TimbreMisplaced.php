<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Band\Instrument;

final class TimbreMisplaced extends BandException
{
    public function __construct(public readonly Instrument $instrument)
    {
        parent::__construct(sprintf('The %s cannot sound like a piano, an organ or an accordion: only keys do.', $instrument->words()));
    }
}
