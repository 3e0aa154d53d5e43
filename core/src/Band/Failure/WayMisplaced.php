<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Band\Instrument;
use Gravik\Band\Way;

final class WayMisplaced extends BandException
{
    public function __construct(public readonly Instrument $instrument, public readonly Way $way)
    {
        $ways = array_map(static fn (Way $each): string => $each->value, $instrument->ways());
        parent::__construct(sprintf(
            'The %s cannot play "%s". %s',
            $instrument->words(),
            $way->value,
            $ways === [] ? 'What it plays is told by its strokes.' : 'Choose one of '.implode(', ', $ways).'.',
        ));
    }
}
