<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;
use Gravik\Quote;

final class DrumUnknown extends BandException
{
    public function __construct(public readonly string $name)
    {
        parent::__construct(
            sprintf('"%s" is no drum of the set. A groove plays kick, rim, snare, hat, ride or shaker.', Quote::short($name)),
        );
    }
}
