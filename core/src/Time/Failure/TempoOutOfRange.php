<?php

declare(strict_types=1);

namespace Gravik\Time\Failure;

use Gravik\Time\Tempo;
use Gravik\Time\TimeException;

final class TempoOutOfRange extends TimeException
{
    public function __construct(public readonly float $bpm)
    {
        parent::__construct(sprintf(
            'A tempo of %s beats a minute cannot be played along to. Choose %d to %d.',
            self::plain($bpm),
            Tempo::SLOWEST,
            Tempo::FASTEST,
        ));
    }
}
