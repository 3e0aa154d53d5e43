<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class ApproachSlotOutOfRange extends ChartException
{
    public function __construct(public readonly int $ticks)
    {
        parent::__construct(sprintf(
            'A slot of %d ticks is too short or too long for an approach. Choose a sixteenth up to a whole note: 240 to 3840.',
            $ticks,
        ));
    }
}
