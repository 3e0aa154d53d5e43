<?php

declare(strict_types=1);

namespace Gravik\Time\Failure;

use Gravik\Time\Feel;
use Gravik\Time\TimeException;

final class SwingOutOfRange extends TimeException
{
    public function __construct(public readonly float $ratio)
    {
        parent::__construct(sprintf(
            'A swing of %s to 1 is outside what can be felt as swing. Choose %s (early) to %s, 1 being straight and 2 the triplet.',
            self::plain($ratio),
            Feel::LOWEST,
            Feel::HIGHEST,
        ));
    }
}
